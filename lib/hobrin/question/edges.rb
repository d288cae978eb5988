# frozen_string_literal: true

module Hobrin
  class Question
    # Moves an edge of a marked phrase over one word of the sentence.
    class Edges
      # text :: the sentence
      def initialize(text)
        @text = text
        @words = Text::Tokens.located(text).map { |_, from, to| [from, to] }
      end

      # phrase :: a marked Phrase; edge :: :start or :end; by :: 1 to the right, -1 to the left.
      # Gives the Phrase with its edge moved, nil when there is no word to move over.
      def call(phrase, edge, by)
        first = @words.index { |_, to| to > phrase.from }
        last = @words.rindex { |from, _| from < phrase.to }
        return unless first && last

        edge == :start ? first += by : last += by
        between(first, last) if first.between?(0, last) && last < @words.size
      end

      private

      def between(first, last)
        from, to = @words[first].first, @words[last].last
        Phrase.new(text: @text[from...to], from:)
      end
    end
  end
end
