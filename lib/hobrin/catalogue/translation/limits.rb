# frozen_string_literal: true

module Hobrin
  module Catalogue
    class Translation
      # Limits, dates and journals: as they are, as words, or left out.
      class Limits
        INDEX = { type: "dc.type", language: "dc.language", age: "hobrin.age", sex: "hobrin.sex",
                  species: "hobrin.species", place: "hobrin.place", flag: "hobrin.flag",
                  dates: "dc.date",
                  added: "hobrin.added", journal: "hobrin.journal" }.freeze
        # Limits whose names stand in the text of papers, too; of ages hardly one does.
        AS_WORDS = %i[type].freeze
        # Years at most that a span is spelled out in.
        MOST_YEARS = 40
        LEFT_OUT = Book.t("catalogue.note.no_index")
        SINGLE_YEARS = Book.t("catalogue.note.single_years")
        private_constant :SINGLE_YEARS, :INDEX, :AS_WORDS, :MOST_YEARS, :LEFT_OUT

        def initialize(ability, words)
          @ability = ability
          @words = words
        end

        # leaf :: Strategy::Limit, Dates or Journal. Gives a Part.
        def call(leaf)
          return dates(leaf) if leaf.is_a?(Strategy::Dates)
          return Part.same(leaf) if @ability.index?(INDEX.fetch(leaf.name))

          AS_WORDS.include?(leaf.name) ? as_words(leaf) : Part.left_out(LEFT_OUT)
        end

        private

        def as_words(leaf)
          parts = leaf.values.map { |value| @words.call(Strategy::TextTerm.read(value.delete(",()"))) }
          joined = Joined.call(parts, "or") { |trees| Strategy::AnyOf.of(trees) }
          joined.with_notes([Book.t("catalogue.note.limit_as_words")])
        end

        def dates(leaf)
          index = INDEX.fetch(leaf.name)
          return Part.left_out(LEFT_OUT) unless @ability.index?(index)

          asked = [leaf.from ? ">=" : "<="]
          asked = %w[within] if leaf.from && leaf.to
          asked = ["="] if leaf.from == leaf.to
          return Part.same(leaf) if asked.all? { |relation| @ability.relation?(index, relation) }

          between(leaf, index) || years(leaf, index) || Part.left_out(SINGLE_YEARS)
        end

        # Both ends apart, where a span cannot be said at once.
        def between(leaf, index)
          apart = %w[>= <=].all? { |relation| @ability.relation?(index, relation) }
          return unless leaf.from && leaf.to && apart

          text = "(#{index} >= #{leaf.from} and #{index} <= #{leaf.to})"
          Part.new(became: leaf, text:, notes: [])
        end

        def years(leaf, index)
          return unless leaf.from && leaf.to && leaf.to_year - leaf.from_year < MOST_YEARS

          span = leaf.from_year..leaf.to_year
          text = span.map { |year| "#{index} = #{year}" }.join(" or ")
          Part.new(became: leaf.with(from: span.first.to_s, to: span.last.to_s), text: "(#{text})",
                   notes: [Book.t("catalogue.note.years", years: span.size)])
        end
      end
    end
  end
end
