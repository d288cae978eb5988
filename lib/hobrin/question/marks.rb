# frozen_string_literal: true

module Hobrin
  class Question
    # Marks in a sentence: an edge moved by a word, and marks kept right while the sentence is
    # edited.
    module Marks
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

      # Keeps marks right when the sentence is edited. What stands before and after the edit is known
      # by comparing both ends of the old and the new text; a phrase there moves along. A phrase that
      # the edit touched is looked for nearby. One that was edited within keeps its ends and has the
      # new words; any other is gone when its words are.
      class Reanchoring
        def initialize(old, new)
          @old = old
          @new = new
          @same_before = same_length(old, new)
          @same_after = [same_length(old.reverse, new.reverse),
                         [old.size, new.size].min - @same_before].min
          @shift = new.size - old.size
        end

        # A Phrase in; the Phrase at its new place out, or nil when its words are gone.
        def call(phrase)
          return phrase if !phrase.marked? || phrase.to <= @same_before
          return phrase.with(from: phrase.from + @shift) if phrase.from >= @old.size - @same_after

          from = nearby(phrase)
          from ? phrase.with(from:) : edited_within(phrase)
        end

        private

        def same_length(one, two)
          one.each_char.zip(two.each_char).take_while { |left, right| left == right }.size
        end

        # Both ends of the phrase stand outside the edit.
        def edited_within(phrase)
          return unless phrase.from < @same_before && phrase.to > @old.size - @same_after

          words = @new[phrase.from...(phrase.to + @shift)]
          whole = !words.empty? && words == words.strip
          whole ? Phrase.new(text: words, from: phrase.from) : nil
        end

        # The edit lies between the unchanged ends: the words can only stand where both old and new
        # positions lean towards them.
        def nearby(phrase)
          places = (0..[@new.size - phrase.text.size, 0].max).select do |from|
            @new[from, phrase.text.size] == phrase.text
          end
          places.min_by { |from| [(from - phrase.from).abs, (from - phrase.from - @shift).abs].min }
        end
      end
    end
  end
end
