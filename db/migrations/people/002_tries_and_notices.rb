# frozen_string_literal: true

Sequel.migration do
  change do
    # Whose tries they are, as a fingerprint of what is typed to sign in, so that a new password lifts
    # them all.
    alter_table(:tries) { add_column :whose, String, null: false, default: "" }

    # What the members of a ward are told, such as that an administrator joined it.
    create_table(:notices) do
      primary_key :id
      foreign_key :ward_id, :wards, null: false, on_delete: :cascade, index: true
      String :at, null: false
      String :who, null: false
      String :role, null: false
    end
  end
end
