# frozen_string_literal: true

# Catalogues that can be asked and harvested, what came from them, and what left the library since,
# so that who harvests this library can be told.
Sequel.migration do
  up do
    # protocol: sru or oai; ability: JSON of what it can do, nil for one that is only harvested.
    create_table(:sources) do
      primary_key :id
      String :name, null: false, unique: true
      String :address, null: false
      String :protocol, null: false
      String :version, null: false
      String :format, null: false
      String :about, text: true, null: false
      String :ability, text: true
      TrueClass :stand_in, null: false, default: false
      String :added_at, null: false
      # Where the next harvest begins, as its catalogue counts days.
      String :harvested_to
    end

    alter_table(:imports) do
      add_column :source_id, Integer
      # What was asked, and how many records at most.
      add_column :query, String, text: true
      add_column :most, Integer
      # Where a harvest goes on.
      add_column :token, String, text: true
    end

    # Records that an import had, too, though an earlier one had brought them.
    create_table(:import_known) do
      foreign_key :import_id, :imports, null: false, on_delete: :cascade
      Integer :number, null: false
      primary_key %i[import_id number]
    end

    create_table(:gone) do
      Integer :number, primary_key: true
      String :id, null: false
      String :at, null: false
    end
  end

  down { raise Sequel::Error, "a library does not go back to one that knew no catalogues" }
end
