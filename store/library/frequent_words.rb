# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Keeps the sets of the papers that have a word which many have, one for each field of the full
      # text. They may lag behind: each says up to which number it looked, and the rest is asked of the
      # full text; and a record that went may still stand in them.
      class FrequentWords < Base
        # A word is kept when so many papers have it, and one in so many of all: rarer ones the full
        # text finds as quickly.
        LEAST = 2_000
        ONE_IN = 100
        # Numbers and words of one or two letters are seldom looked for alone, and are in most papers.
        WORTH_IT = /\A(?=.*\p{L}).{3,}\z/
        WRITE = "INSERT OR REPLACE INTO word_sets (word, field, upto, records) VALUES (?, ?, ?, ?)"
        private_constant :ONE_IN, :WORTH_IT, :WRITE

        def initialize(db)
          super
          @texts = FullText.new(db)
        end

        # Hash of each word that is kept to the number up to which its records are in its sets.
        def upto = @db[:word_sets].where(field: "title").select_hash(:word, :upto)

        # The records that have one of these words in one of these fields, as far as it is known here.
        def set(words, fields)
          rows = @db[:word_sets].where(Database::Membership.of(:word, words)).where(Database::Membership.of(:field, fields))
          Records::RecordSet.union(rows.select_map(:records).map { |bytes| Records::RecordSet.load(bytes) })
        end

        # Brings every set up to the records that are here now, and begins those of words that have
        # become frequent. One word after the other, so that nobody waits long for the database.
        def keep
          highest = @db[:records].max(:number) or return
          known = upto
          (frequent | known.keys).each do |word|
            from = known.fetch(word, 0)
            Database::Trouble.writing(@db) { follow(word, from, highest) } if from < highest
          end
        end

        # Some records were written anew. changed :: Array of [number, Record before, Record after]
        def rewritten(changed)
          gone, come = differences(changed)
          known = upto
          [*gone.keys, *come.keys].uniq.each do |word, field|
            next unless known.key?(word)

            set = set([word], [field]) - Records::RecordSet.of(gone.fetch([word, field], []))
            write(word, field, known[word], set | Records::RecordSet.of(come.fetch([word, field], [])))
          end
          count(come.keys.map(&:first).uniq)
        end

        private

        def frequent
          least = [LEAST, @db[:records].count / ONE_IN].max
          @db[:word_counts].where { papers >= least }.select_map(:word).grep(WORTH_IT)
        end

        def follow(word, from, highest)
          Strategy::TextTerm::FIELDS.each_key do |field|
            write(word, field, highest, set([word], [field]) | @texts.any([word], [field], above: from))
          end
        end

        # Two Hashes of [word, field] to the numbers of the records that lost it, and that gained it.
        def differences(changed)
          gone, come = Array.new(2) { Hash.new { |all, key| all[key] = [] } }
          changed.each do |number, *records|
            before, after = records.map { |record| FullText.columns(record) }
            Strategy::TextTerm::FIELDS.keys.zip(before, after) do |field, *texts|
              next if texts.first == texts.last

              old, new = texts.map { |text| Text::Tokens.of(text) }
              (old - new).uniq.each { |word| gone[[word, field]] << number }
              (new - old).uniq.each { |word| come[[word, field]] << number }
            end
          end
          [gone, come]
        end

        # A word that no paper had is known from now on; how many have it is counted when an import
        # ends.
        def count(words)
          rows = words.map { |word| { word:, papers: 1 } }
          @db[:word_counts].insert_conflict.multi_insert(rows)
        end

        def write(word, field, upto, set)
          @db.synchronize do |connection|
            Database::Rows.write(connection, WRITE, [[word, field.to_s, upto, SQLite3::Blob.new(set.dump)]]) { |row| row }
          end
        end

        # Answers a term of one word, or of one with a mask, from the sets of frequent words; what they
        # lack is asked of the full text. Belongs to one version of the library.
        class OneWord < Base
          # Where a mask takes in more words that have no set, the full text alone is quicker.
          MOST_RARE = 300
          private_constant :MOST_RARE

          # texts :: FullText
          def initialize(db, texts)
            super(db)
            @texts = texts
            @frequent = FrequentWords.new(db)
            @kept = Kept.new
            freeze
          end

          # leaf :: Strategy::TextTerm; among :: RecordSet of all records. Gives a RecordSet, or nil for
          # what is none of its business.
          def call(leaf, among:)
            return if leaf.text.include?(" ")

            ready, rare = spelled(Text::Mask.new(leaf.text)).partition { |word| upto.key?(word) }
            return if ready.empty? || rare.size > MOST_RARE

            Records::RecordSet.union([@frequent.set(ready, leaf.fields), *rest(leaf, rare), *late(leaf, ready)]) & among
          end

          private

          def upto = @kept.fetch(:upto) { @frequent.upto.freeze }

          # The words that had a paper when the last import ended. Whatever came later is late, too.
          def spelled(mask)
            return [mask.word] if mask.plain?

            words = @db[:word_counts].where { (word >= mask.stem) & (word < "#{mask.stem}\u{10FFFF}") }
            mask.among(words.select_map(:word))
          end

          def rest(leaf, rare) = rare.empty? ? [] : [@texts.any(rare, leaf.fields)]

          # Records that came after the sets were brought up to date.
          def late(leaf, ready)
            seen = upto.values_at(*ready).min
            seen < @db[:records].max(:number).to_i ? [@texts.words(leaf, above: seen)] : []
          end
        end
      end
    end
  end
end
