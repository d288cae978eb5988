# frozen_string_literal: true

module Hobrin
  module Store
    # How close papers are to the words of a search: BM25 as SQLite's full-text index works it out
    # (k1 1.2, b 0.75; Robertson and Zaragoza 2009, from memory), the title weighing most.
    class Closeness
      # Of title, abstract, keywords, headings.
      WEIGHTS = [8.0, 1.0, 3.0, 3.0].freeze
      MOST_PHRASES = 200
      private_constant :MOST_PHRASES

      def initialize(db)
        @db = db
      end

      # set :: RecordSet; phrases :: Array of texts, folded words with a * at the end of one that
      #   any ending will do for Gives a Hash of number to how close it is, the closest first;
      #   papers without any of the words are left out.
      def call(set, phrases)
        query = phrases.first(MOST_PHRASES).filter_map { |phrase| quoted(phrase) }.uniq.join(" OR ")
        return {} if query.empty? || set.empty?

        rank = Sequel.lit("-bm25(texts, #{WEIGHTS.join(", ")})")
        # The plus keeps SQLite from asking the full text anew for each number.
        wanted = Sequel.lit("+rowid IN (SELECT value FROM json_each(?))", JSON.generate(set.to_a))
        rows = @db[:texts].where(Sequel.lit("texts MATCH ?", query)).where(wanted)
                          .select_map([:rowid, Sequel.as(rank, :closeness)])
        rows.sort_by { |number, closeness| [-closeness, number] }.to_h
      end

      private

      # Only letters and digits, in quotation marks: nothing is read as syntax.
      def quoted(phrase)
        words = Text::Tokens.masked(phrase)
        return if words.empty? || words.any? { |word| word.delete_suffix("*").match?(/[*?]/) || word == "*" }

        "\"#{words.map { |word| word.delete_suffix("*") }.join(" ")}\"#{" *" if words.last.end_with?("*")}"
      end
    end
  end
end
