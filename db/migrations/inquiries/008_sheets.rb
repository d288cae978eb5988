# frozen_string_literal: true

# Papers weighed twice. The sheet of each of the two stands here, and in no trail and no inquiry,
# until both are done with the paper.
Sequel.migration do
  change do
    alter_table(:inquiries) do
      add_column :first_weigher_id, Integer
      add_column :second_weigher_id, Integer
    end

    create_table(:sheets) do
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade
      Integer :person_id, null: false
      String :record_id, null: false
      # The sheet as JSON, as WeighingDocument writes it.
      String :sheet, text: true, null: false
      TrueClass :done, null: false, default: false
      String :at, null: false
      primary_key %i[inquiry_id record_id person_id]
    end
  end
end
