# frozen_string_literal: true

# The library can be thrown away and built again from its sources, so nothing here refers to
# inquiries.
Sequel.migration do
  up do
    create_table(:meta) do
      String :name, primary_key: true
      String :value, null: false
    end

    create_table(:records) do
      Integer :number, primary_key: true
      String :id, null: false, unique: true
      String :published
      # What duplicates are found by; see Records::DuplicateKey.
      String :doi, index: true
      String :duplicate_key, index: true
      # The number of the record that came first, when this is the same paper once more.
      Integer :duplicate_of
      # The whole record as CSL-JSON: what is shown is read from here, what is searched is not.
      String :csl, text: true, null: false
    end

    # Answers words. It keeps no copy of the text, and folds case and diacritics as the core does.
    run <<~SQL
      CREATE VIRTUAL TABLE texts USING fts5(
        title, abstract, keywords, headings, content='', columnsize=0, tokenize="unicode61 remove_diacritics 2")
    SQL
    # The words of the full text, so that a mask can be spelled out.
    run "CREATE VIRTUAL TABLE text_words USING fts5vocab(texts, row)"

    # Who wrote what, folded. Written once for each author of a record.
    run <<~SQL
      CREATE TABLE authors (family TEXT NOT NULL, initials TEXT NOT NULL, number INTEGER NOT NULL,
        PRIMARY KEY (family, initials, number)) WITHOUT ROWID
    SQL

    # A set of record numbers for each value of each facet. Each batch of an import writes a part of
    # its own; they are joined when it ends.
    run <<~SQL
      CREATE TABLE facets (name TEXT NOT NULL, value TEXT NOT NULL, part INTEGER NOT NULL, records BLOB NOT NULL,
        PRIMARY KEY (name, value, part)) WITHOUT ROWID
    SQL

    # The highest record number at each version, so that a search can be counted as it was then.
    create_table(:versions) do
      String :version, primary_key: true
      Integer :highest, null: false
    end

    # How far the import of a file got, by a digest of what is in it.
    create_table(:imports) do
      String :digest, primary_key: true
      Integer :entries, null: false
    end
  end

  down { %i[imports versions facets authors text_words texts records meta].each { |table| drop_table(table) } }
end
