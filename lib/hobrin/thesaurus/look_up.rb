# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # Finds headings for what is being typed: the last word may be unfinished. Ranked by where it was
    # found: label from its start, also-called name from its start, within the label, within an
    # also-called name, words of the definition; shorter names first.
    class LookUp
      # heading :: the heading; name :: the name that matched, which may be an also-called one
      Match = Struct.new(:heading, :name, :rank, keyword_init: true) do
        def also_called? = name != heading.label
      end

      DEFINITION_RANK = 4
      private_constant :DEFINITION_RANK

      def initialize(headings)
        @entries = headings.flat_map do |heading|
          heading.names.map { |name| [heading, name, " #{Text::Tokens.of(name).join(" ")}"] }
        end
        @definitions = headings.map { |heading| [heading, " #{Text::Tokens.of(heading.definition).join(" ")}"] }
      end

      # typed :: String; limit :: how many at most. Gives an Array of Match, one for each heading.
      def call(typed, limit:)
        words = Text::Tokens.of(typed)
        return [] if words.empty?

        matches = (by_name(words) + by_definition(words)).sort_by { |match| [match.rank, match.name.size, match.name] }
        matches.uniq(&:heading).first(limit)
      end

      private

      def by_name(words)
        typed = " #{words.join(" ")}"
        @entries.filter_map do |heading, name, text|
          place = text.index(typed) or next
          rank = (place.zero? ? 0 : 2) + (name == heading.label ? 0 : 1)
          Match.new(heading:, name:, rank:)
        end
      end

      def by_definition(words)
        @definitions.filter_map do |heading, text|
          next unless words.all? { |word| text.include?(" #{word}") }

          Match.new(heading:, name: heading.label, rank: DEFINITION_RANK)
        end
      end
    end
  end
end
