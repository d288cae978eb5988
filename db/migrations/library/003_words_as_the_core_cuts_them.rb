# frozen_string_literal: true

# Until now the full-text index cut and folded words in its own way, and a word such as "CO₂" was
# never found. Texts come to it as the core's words with a space between: the "ascii" tokenizer
# takes every letter beyond ASCII for part of a word.
Sequel.migration do
  up do
    drop_table(:text_words)
    drop_table(:texts)
    run <<~SQL
      CREATE VIRTUAL TABLE texts USING fts5(
        title, abstract, keywords, headings, content='', columnsize=0, tokenize="ascii")
    SQL
    run "CREATE VIRTUAL TABLE text_words USING fts5vocab(texts, row)"
    from(:authors).delete
    create_table?(:rebuilds) { String :part, primary_key: true }
    from(:rebuilds).insert_ignore.insert(part: "words")
  end

  down { raise Sequel::Error, "a library does not go back to words that cannot be found" }
end
