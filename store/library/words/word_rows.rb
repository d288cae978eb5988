# frozen_string_literal: true

module Hobrin
  module Store
    # Writes what words and authors are looked up in, folded by the core. All of it can be made anew
    # from the records, which a migration does when the core folds in another way.
    class WordRows
      TEXTS = "INSERT INTO texts (rowid, title, abstract, keywords, headings) VALUES (?, ?, ?, ?, ?)"
      # All authors of a batch at once, as one JSON text, and in order, so that neighbours are
      # written one after the other.
      AUTHORS = "INSERT OR IGNORE INTO authors SELECT value ->> 0, value ->> 1, value ->> 2 FROM json_each(?) " \
                "ORDER BY 1, 2"
      BATCH = 4_000
      private_constant :TEXTS, :AUTHORS, :BATCH

      def initialize(db)
        @db = db
      end

      # numbers :: Hash of places in a Batch to the numbers under which its records are written
      def add(batch, numbers)
        @db.synchronize do |connection|
          Rows.write(connection, TEXTS, numbers) { |place, number| [number, *batch.texts[place]] }
          authors = JSON.generate(authors(batch, numbers))
          Rows.write(connection, AUTHORS, [authors]) { |text| [text] }
        end
      end

      # Counts anew how many papers have each word.
      def count
        @db[:word_counts].delete
        @db.run("INSERT INTO word_counts SELECT term, doc FROM text_words")
      end

      # Writes all of it from the stored records, into tables that are empty.
      def write_anew
        highest = @db[:records].max(:number) || 0
        (1..highest).step(BATCH) do |first|
          rows = @db[:records].where(number: first...(first + BATCH)).order(:number).select_map(%i[number csl])
          records = rows.map do |_, csl|
            Exchange::CslJson::Reader.kept(JSON.parse(csl, freeze: true))
          end
          batch = Batch.of(records)
          add(batch, rows.each_with_index.to_h { |(number, _), place| [place, number] })
        end
      end

      private

      def authors(batch, numbers)
        numbers.flat_map { |place, number| batch.authors[place].map { |author| [*author, number] } }
      end
    end
  end
end
