# frozen_string_literal: true

# What concerns everybody, and what stays with one inquiry.
Sequel.migration do
  change do
    # Changes of what all inquiries share, so that each can be undone.
    create_table(:house_changes) do
      primary_key :id
      String :at, null: false
      String :who, null: false
      # resolver, filter or pdf; key: the name of the filter, the id of the paper; ward_id: of a full
      # text that one ward keeps
      String :kind, null: false
      String :key, null: false
      Integer :ward_id
      # What stood there before, null for nothing.
      String :was, text: true
      String :undone_at
      String :undone_by
    end

    # Papers that came with an archive and are not in the library, as CSL-JSON.
    create_table(:inquiry_records) do
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade
      String :record_id, null: false
      String :csl, text: true, null: false
      primary_key %i[inquiry_id record_id]
    end
  end
end
