# frozen_string_literal: true

module Hobrin
  class Question
    # Words of a question that are likely misspelled: they are no English word, no paper has them,
    # and a name of the thesaurus is spelled nearly so.
    class Slips
      # word :: as written; from :: its first character; meant :: the word of the thesaurus
      class Slip < Value
        attributes :word, :from, :meant
      end

      MOST = 3
      private_constant :MOST

      # thesaurus :: Thesaurus; dictionary :: Text::Dictionary. The block is given a folded word, and
      # says whether any paper has it.
      def initialize(thesaurus, dictionary, &written)
        @thesaurus = thesaurus
        @dictionary = dictionary
        @written = written
      end

      # A text with its slips written as they were meant; nil when it has none.
      def mended(text)
        slips = call(text)
        return if slips.empty?

        slips.reverse.reduce(text.dup) do |now, slip|
          now.tap { now[slip.from, slip.word.size] = slip.meant }
        end
      end

      # text :: the question. Gives an Array of Slip, at most three.
      def call(text)
        found = Text::Tokens.located(text).lazy.filter_map do |word, from, to|
          next if Understanding::Sentence.small?(word) || @dictionary.word?(word)

          meant = @thesaurus.spelling(word)
          Slip.new(word: text[from...to], from:, meant:) if meant && !@written.call(word)
        end
        found.first(MOST)
      end
    end
  end
end
