# frozen_string_literal: true

# Whose an inquiry is, and what others were given to do with it. People are in a database of their
# own, so these are their numbers alone.
Sequel.migration do
  change do
    alter_table(:inquiries) do
      add_column :ward_id, Integer
      add_column :owner_id, Integer
    end

    create_table(:inquiry_people) do
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade
      Integer :person_id, null: false
      # reads, second, works
      String :ability, null: false
      primary_key %i[inquiry_id person_id]
    end
  end
end
