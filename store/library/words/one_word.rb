# frozen_string_literal: true

module Hobrin
  module Store
    # Answers a term of one word, or of one with a mask, from the sets of frequent words; what they
    # lack is asked of the full text. Belongs to one version of the library.
    class OneWord
      # Where a mask takes in more words that have no set, the full text alone is quicker.
      MOST_RARE = 300
      private_constant :MOST_RARE

      # texts :: FullText
      def initialize(db, texts)
        @db = db
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
