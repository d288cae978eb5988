# frozen_string_literal: true

module Hobrin
  module Store
    # The papers that are most like one by their words; see Screening::Likeness. The full-text index
    # names those that share its weightiest words, and of these the likeness is worked out in full.
    class Alike
      # How many of a paper's words are looked up, and in how many papers they may stand together;
      # how many papers are then compared in full.
      MOST_WORDS = 20
      MOST_POSTINGS = 16_000
      COMPARED = 90
      private_constant :MOST_WORDS, :MOST_POSTINGS, :COMPARED

      # likeness :: Screening::Likeness over the same library
      def initialize(db, likeness)
        @db = db
        @likeness = likeness
      end

      # record :: Records::Record. The block turns numbers into an Array of Record. Gives an Array
      #   of [Record, likeness from 0 to 1], the most alike first, without the record itself.
      def call(record, limit:)
        vector = @likeness.vector(record)
        near = yield(candidates(vector)).reject { |other| other.id == record.id }
        near.map { |other| [other, @likeness.cosine(vector, @likeness.vector(other))] }
            .sort_by { |other, likeness| [-likeness, other.id] }.first(limit)
      end

      private

      def candidates(vector)
        words = @likeness.heaviest(vector, most: MOST_WORDS, postings: MOST_POSTINGS)
        return [] if words.empty?

        query = words.map { |word| "\"#{word}\"" }.join(" OR ")
        @db[:texts].where(Sequel.lit("texts MATCH ?", query)).order(Sequel.lit("bm25(texts)"))
                   .limit(COMPARED).select_map(:rowid)
      end
    end
  end
end
