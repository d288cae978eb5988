# frozen_string_literal: true

# Papers read twice. What one reader decides stands here, and in no trail and no inquiry, until the
# other has decided, too: so nothing else can tell it.
Sequel.migration do
  change do
    alter_table(:inquiries) do
      add_column :first_reader_id, Integer
      add_column :second_reader_id, Integer
    end

    create_table(:readings) do
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade
      Integer :person_id, null: false
      String :record_id, null: false
      String :verdict, null: false
      String :reason
      String :note, text: true, null: false
      String :at, null: false
      primary_key %i[inquiry_id record_id person_id]
    end
  end
end
