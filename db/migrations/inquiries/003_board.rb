# frozen_string_literal: true

Sequel.migration do
  change do
    # An inquiry that was taken away stays for a while, so that it can be brought back; one that was
    # put aside stays out of the way. Both are ISO 8601, null for the others.
    alter_table(:inquiries) do
      add_column :deleted_at, String
      add_column :aside_at, String
    end

    # A brief as it was when it was signed off, as JSON; line is that of its signature.
    create_table(:signed_briefs) do
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade
      Integer :line, null: false
      String :report, text: true, null: false
      primary_key %i[inquiry_id line]
    end

    # Addresses at which a brief can be read without its inquiry. ended_at is ISO 8601, null while
    # the address holds.
    create_table(:shares) do
      String :token, primary_key: true
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade, index: true
      String :made_at, null: false
      String :ended_at
    end
  end
end
