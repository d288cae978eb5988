# frozen_string_literal: true

Sequel.migration do
  change do
    create_table(:headings) do
      String :label, primary_key: true
      String :definition, text: true, null: false
      Integer :added
      String :uri
      String :notation
    end

    # kind: also_called, broader, related, aspect, use_instead; place keeps the order they were
    # given in.
    create_table(:heading_names) do
      foreign_key :label, :headings, type: String, null: false, on_delete: :cascade
      String :kind, null: false
      Integer :place, null: false
      String :name, null: false
      primary_key %i[label kind place]
    end
  end
end
