# frozen_string_literal: true

# The papers that have a word which many have, kept ready for each field of the full text: finding
# them there took most of the time of a search that is asked for the first time.
Sequel.migration do
  up do
    # upto: the highest number of a record that was looked at. It stands before the set, so that it
    # is read without it. A large library takes a minute, and may be cut off: then it is gone on with.
    run <<~SQL
      CREATE TABLE IF NOT EXISTS word_sets (word TEXT NOT NULL, field TEXT NOT NULL, upto INTEGER NOT NULL, records BLOB NOT NULL,
        PRIMARY KEY (word, field)) WITHOUT ROWID
    SQL
    create_table?(:rebuilds) { String :part, primary_key: true }
    from(:rebuilds).insert_ignore.insert(part: "frequent words")
  end

  down { drop_table(:word_sets) }
end
