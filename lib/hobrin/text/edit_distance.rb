# frozen_string_literal: true

module Hobrin
  module Text
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
