# frozen_string_literal: true

module Hobrin
  module Text
    # One word of a search, folded, perhaps with masks: * stands for any number of letters, ? for
    # exactly one.
    #
    #   Mask.new("an?esth*").match?("anaesthesia") # => true
    class Mask
      MASKED = /[*?]/
      private_constant :MASKED

      # The word with its masks.
      attr_reader :word

      # The folded letters before the first mask: what every word that fits begins with.
      attr_reader :stem

      def initialize(word)
        @word = word
        @stem = word[/\A[^*?]*/]
        @pattern = plain? || beginning? ? nil : pattern
        freeze
      end

      # Whether there is no mask in it.
      def plain? = !@word.match?(MASKED)

      # Whether its only mask is a * at the end.
      def beginning? = @word.count("*?") == 1 && @word.end_with?("*")

      # word :: a folded word
      def match?(word)
        return word == @word if plain?

        beginning? ? word.start_with?(stem) : @pattern.match?(word)
      end

      # Whether one word might fit this and another mask; true, too, where that is not easily told.
      def meets?(other)
        return match?(other.word) if other.plain?
        return other.match?(word) if plain?

        stem.start_with?(other.stem) || other.stem.start_with?(stem)
      end

      private

      def pattern
        parts = @word.chars.map do |char|
          { "*" => ".*", "?" => "." }.fetch(char) do
            Regexp.escape(char)
          end
        end
        /\A#{parts.join}\z/
      end
    end
  end
end
