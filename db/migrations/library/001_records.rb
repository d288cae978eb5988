# frozen_string_literal: true

# The library can be thrown away and built again from its sources, so nothing here refers to inquiries.
Sequel.migration do
  up do
    create_table(:meta) do
      String :name, primary_key: true
      String :value, null: false
    end

    create_table(:records) do
      Integer :number, primary_key: true
      String :id, null: false, unique: true
      Integer :year
      String :published
      # The whole record as CSL-JSON: what is shown is read from here, what is searched is not.
      String :csl, text: true, null: false
    end

    # Answers words. It keeps no copy of the text, and folds case and diacritics as the core does.
    run <<~SQL
      CREATE VIRTUAL TABLE texts USING fts5(
        title, abstract, keywords, content='', tokenize="unicode61 remove_diacritics 2")
    SQL

    # One stored set of record numbers for each value of each facet.
    create_table(:facets) do
      String :name, null: false
      String :value, null: false
      File :records, null: false
      primary_key %i[name value]
    end
  end

  down { %i[facets texts records meta].each { |table| drop_table(table) } }
end
