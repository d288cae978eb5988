# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # The words of all names, to find the one that a misspelled word was meant for: one that begins
    # with the same letter and differs by one letter put in, left out, changed or changed places
    # with its neighbour; in longer words by two.
    class Spelling
      SHORTEST = 5
      LONG = 8
      private_constant :SHORTEST, :LONG

      # names :: Array of String
      def initialize(names)
        words = names.flat_map { |name| Text::Tokens.of(name) }.uniq.select { |word| word.size >= SHORTEST - 1 }
        @known = words.to_h { |word| [word, true] }.freeze
        # By first letter and length, each with the letters that it has as bits: who differs by two
        # letters has at most four letters that the other has not.
        @alike = words.group_by { |word| [word[0], word.size] }
                      .transform_values { |some| some.map { |word| [word, letters(word)] }.freeze }.freeze
        freeze
      end

      # word :: folded. Gives a word, or nil.
      def call(word)
        return if word.size < SHORTEST || word.match?(/\d/) || known?(word)

        most = word.size >= LONG ? 2 : 1
        near = candidates(word, most).filter_map do |candidate|
          distance = Text::Nearest::EditDistance.call(word, candidate, most:)
          [distance, candidate] if distance <= most
        end
        near.min&.last
      end

      # Whether a name has this word, folded.
      def named?(word) = @known.key?(word)

      private

      # A plural or another ending of a known word is no slip.
      def known?(word)
        [word, Text::Variants.stem(word), Text::Variants.root(word)].any? { |form| @known[form] } || @known["#{word}s"]
      end

      def letters(word) = word.each_byte.reduce(0) { |bits, byte| bits | (1 << (byte & 31)) }

      def candidates(word, most)
        own = letters(word)
        (-most..most).flat_map { |by| @alike.fetch([word[0], word.size + by], []) }
                     .select { |_, bits| (own ^ bits).to_s(2).count("1") <= 2 * most }.map(&:first)
      end
    end
  end
end
