# frozen_string_literal: true

# What people write to each other about an inquiry or a part of it, and who looked at it last.
Sequel.migration do
  change do
    create_table(:notes) do
      primary_key :id
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade, index: true
      # The note that this one answers, null for one that begins.
      Integer :answers
      # inquiry, paper, term or limit; key: its id or name, name: what it was called then
      String :kind, null: false
      String :key, null: false
      String :name, text: true, null: false
      Integer :person_id
      String :who, null: false
      String :text, text: true, null: false
      String :at, null: false
      String :settled_at
      String :settled_by
    end

    create_table(:here) do
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade
      Integer :person_id, null: false
      String :step, null: false
      String :at, null: false
      primary_key %i[inquiry_id person_id]
    end
  end
end
