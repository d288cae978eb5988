# frozen_string_literal: true

require "did_you_mean"

module Hobrin
  module Text
    # What a person may have meant by a name that is not known: the known names that have the same
    # words and more, and those spelled most alike by Ruby's own spelling checker.
    module Nearest
      MOST = 3
      # Nobody misspells a name that is longer.
      LONGEST = 120
      # Past this many candidates only those that share a beginning with one of the words are looked
      # at.
      MANY = 5_000
      BEGINNING = 3
      private_constant :MOST, :LONGEST, :MANY, :BEGINNING

      class << self
        # name :: String; known :: Array of String. Gives up to three of them, the nearest first.
        #
        #   Nearest.call("delirum", ["Delirium", "Sleep"]) # => ["Delirium"]
        def call(name, known)
          return [] if name.size > LONGEST

          known = sharing_a_beginning(name, known) if known.size > MANY
          by_folded = known.group_by { |name| Tokens.line(name) }
          near = [*holding(Tokens.of(name), by_folded.keys),
                  *DidYouMean::SpellChecker.new(dictionary: by_folded.keys).correct(Tokens.line(name))]
          near.uniq.flat_map { |folded| by_folded.fetch(folded) }.first(MOST)
        end

        # ", did you mean …?" as a sentence of its own, "" when nothing is near.
        def hint(name, known)
          near = call(name, known)
          near.empty? ? "" : " #{Book.t("common.did_you_mean", names: Book.list(near.map { |name| "“#{name}”" }, joined: "common.or"))}"
        end

        private

        # Those that have every word of the name, the shortest first.
        def holding(words, folded)
          return [] if words.empty?

          folded.select { |name| (words - name.split).empty? }.sort_by(&:size)
        end

        def sharing_a_beginning(name, known)
          beginnings = Tokens.of(name).map { |word| word[0, BEGINNING] }
          known.select { |name| Tokens.of(name).any? { |word| word.start_with?(*beginnings) } }
        end
      end

      # How many letters have to be put in, left out, changed or let change places with their
      # neighbour to make one word another, no pair twice (Damerau 1964, the restricted distance).
      module EditDistance
        class << self
          # one, two :: words; most :: past this the exact number does not matter. Gives an Integer,
          # most + 1 for any that is larger.
          #
          #   EditDistance.call("delerium", "delirium", most: 2) # => 1
          def call(one, two, most:)
            before, last = nil, (0..two.size).to_a
            one.each_char.with_index(1) do |letter, row|
              now = row_of(letter, row, one, two, last, before)
              return most + 1 if now.min > most

              before, last = last, now
            end
            [last.last, most + 1].min
          end

          private

          def row_of(letter, row, one, two, last, before)
            two.each_char.with_index(1).each_with_object([row]) do |(other, column), now|
              ways = [last[column] + 1, now[column - 1] + 1,
                      last[column - 1] + (letter == other ? 0 : 1)]
              swapped = row > 1 && column > 1 && letter == two[column - 2] && one[row - 2] == other
              ways << (before[column - 2] + 1) if swapped
              now << ways.min
            end
          end
        end
      end
    end
  end
end
