# frozen_string_literal: true

module Hobrin
  module Text
    # One meaning of "a word": a run of letters and digits. A hyphen is a space.
    module Tokens
      PATTERN = /[\p{L}\p{N}\p{Mn}]+/
      private_constant :PATTERN

      # A String in; its folded words out, in order.
      #
      #   Tokens.of("Ear-plugs, at night") # => ["ear", "plugs", "at", "night"]
      def self.of(text) = located(text).map(&:first)

      # As `of`, each word with where it stands: [folded word, first character, one past the last].
      def self.located(text)
        found = []
        text.scan(PATTERN) do
          match = Regexp.last_match
          found << [Folding.fold(match[0]), match.begin(0), match.end(0)]
        end
        found
      end
    end
  end
end
