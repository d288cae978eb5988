# frozen_string_literal: true

# Who cites whom, to be asked from both ends, and how many papers have each word.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE citations (cited TEXT NOT NULL, number INTEGER NOT NULL, PRIMARY KEY (cited, number)) WITHOUT ROWID
    SQL
    run <<~SQL
      INSERT OR IGNORE INTO citations SELECT reference.value, records.number
      FROM records, json_each(records.csl, '$.custom.cites') AS reference
    SQL
    run "CREATE TABLE word_counts (word TEXT PRIMARY KEY, papers INTEGER NOT NULL) WITHOUT ROWID"
    run "INSERT INTO word_counts SELECT term, doc FROM text_words"
  end

  down { %i[word_counts citations].each { |table| drop_table(table) } }
end
