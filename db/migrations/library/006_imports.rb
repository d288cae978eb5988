# frozen_string_literal: true

# What came in with which file, so that an import can be shown, gone on with after a cut, and taken
# back. It takes the place of a table that knew only how far a file had been read.
Sequel.migration do
  up do
    drop_table(:imports)
    # state: waiting, running, stopped, failed, done or "taken back"; times are ISO 8601.
    create_table(:imports) do
      primary_key :id
      String :name, null: false
      String :digest, index: true
      String :format
      String :state, null: false
      TrueClass :sample, null: false
      Integer :size, null: false
      Integer :at_byte, null: false, default: 0
      Integer :entries, null: false, default: 0
      Integer :added, null: false, default: 0
      Integer :known, null: false, default: 0
      Integer :duplicates, null: false, default: 0
      Integer :refused, null: false, default: 0
      String :message, text: true
      String :begun_at, null: false
      String :ended_at
    end

    # The numbers of the records that an import brought, in runs.
    create_table(:import_parts) do
      foreign_key :import_id, :imports, null: false, on_delete: :cascade
      Integer :first, null: false
      Integer :last, null: false
      primary_key %i[import_id first]
    end

    create_table(:import_refusals) do
      foreign_key :import_id, :imports, null: false, on_delete: :cascade
      Integer :place, null: false
      Integer :line
      String :reason, text: true, null: false
      primary_key %i[import_id place]
    end

    # Headings that the thesaurus lacks, and how many records of the import carry each.
    create_table(:import_headings) do
      foreign_key :import_id, :imports, null: false, on_delete: :cascade
      String :label, null: false
      Integer :records, null: false
      primary_key %i[import_id label]
    end
    # Which heading a name from outside stands for; state: waiting or done.
    create_table(:heading_matches) do
      String :name, primary_key: true
      String :label, null: false
      String :state, null: false
    end

    # Pairs that look like the same paper and were said to be two; the smaller number first.
    create_table(:apart) do
      Integer :one, null: false
      Integer :two, null: false
      primary_key %i[one two]
    end
  end

  down { raise Sequel::Error, "a library does not go back to imports that cannot be taken back" }
end
