# frozen_string_literal: true

# Several thesauri beside each other, one of them in use.
Sequel.migration do
  up do
    # document: JSON of its headings.
    create_table(:thesauri) do
      primary_key :id
      String :name, null: false, unique: true
      Integer :headings, null: false
      String :came_at
      TrueClass :in_use, null: false, default: false
      String :document, text: true, null: false
    end
    create_table?(:rebuilds) { String :part, primary_key: true }
    from(:rebuilds).insert_ignore.insert(part: "thesauri")
  end

  down { raise Sequel::Error, "a library does not go back to one that had one thesaurus only" }
end
