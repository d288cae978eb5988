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
        split unless plain? || beginning?
        freeze
      end

      # Whether there is no mask in it.
      def plain? = !@word.match?(MASKED)

      # Whether its only mask is a * at the end.
      def beginning? = @word.count("*?") == 1 && @word.end_with?("*")

      # word :: a folded word
      def match?(word)
        return word == @word if plain?

        beginning? ? word.start_with?(stem) : pieces_fit?(word)
      end

      # Those of some folded words that it takes in.
      def among(words) = words.select { |word| match?(word) }

      # Whether one word might fit this and another mask; true, too, where that is not easily told.
      def meets?(other)
        return match?(other.word) if other.plain?
        return other.match?(word) if plain?

        stem.start_with?(other.stem) || other.stem.start_with?(stem)
      end

      private

      # The pieces between the *, each a pattern of one length: nothing in it repeats.
      def split
        first, *rest = @word.split(/\*+/, -1)
        @size = first.size
        @first = /\A#{letters(first)}/
        @last_size = rest.last&.size
        @last = /#{letters(rest.last)}\z/ if rest.any?
        @between = rest[0...-1].map { |piece| Regexp.new(letters(piece)) }.freeze
      end

      def letters(piece) = piece.chars.map { |char| char == "?" ? "." : Regexp.escape(char) }.join

      # The first piece at the beginning, the last at the end, each one between as early as it can be:
      # if any way fits, this one does. It never goes back, however many * there are.
      def pieces_fit?(word)
        return false unless word.match?(@first)
        return word.size == @size unless @last

        at = @between.reduce(@size) do |place, piece|
          found = word.match(piece, place) or return false
          found.end(0)
        end
        word.size - @last_size >= at && word.match?(@last)
      end
    end
  end
end
