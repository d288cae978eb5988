# frozen_string_literal: true

# How long each text is, since closeness to a search is told by it: the full-text index keeps sizes
# from now on. It holds no texts of its own, so the words are written anew.
Sequel.migration do
  up do
    drop_table(:text_words)
    drop_table(:texts)
    run <<~SQL
      CREATE VIRTUAL TABLE texts USING fts5(
        title, abstract, keywords, headings, content='', tokenize="ascii")
    SQL
    run "CREATE VIRTUAL TABLE text_words USING fts5vocab(texts, row)"
    from(:authors).delete
    create_table?(:rebuilds) { String :part, primary_key: true }
    from(:rebuilds).insert_ignore.insert(part: "words")
  end

  down { raise Sequel::Error, "a library does not go back to texts without sizes" }
end
