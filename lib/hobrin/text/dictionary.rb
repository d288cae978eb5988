# frozen_string_literal: true

module Hobrin
  module Text
    # Words of English, to tell a word that is merely rare from one that is misspelled. Holds stems;
    # a word with a usual ending of theirs is known too.
    class Dictionary
      # What a word may end in, and what its stem has there.
      ENDINGS = [["s", ""], ["es", ""], ["ies", "y"], ["ed", ""], ["ed", "e"], ["ied", "y"], ["ing", ""], ["ing", "e"],
                 ["er", ""], ["er", "e"], ["est", ""], ["ly", ""], ["ness", ""], ["able", ""], ["able", "e"]].freeze
      private_constant :ENDINGS

      # words :: Array of folded words, none shorter than three letters
      def initialize(words)
        @words = words.to_h { |word| [word, true] }.freeze
        freeze
      end

      NONE = new([])

      def inspect = "#<#{self.class} of #{@words.size} words>"

      # word :: folded
      def word?(word)
        return true if @words[word]

        stems = ENDINGS.filter_map do |ending, stem|
          word.delete_suffix(ending) + stem if word.end_with?(ending)
        end
        stems.any? { |stem| @words[stem] || (stem[-1] == stem[-2] && @words[stem.chop]) }
      end
    end
  end
end
