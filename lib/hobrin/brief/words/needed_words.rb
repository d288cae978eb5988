# frozen_string_literal: true

module Hobrin
  class Brief
    # The number needed to treat, in words: with its interval, and on both sides of no difference
    # where the interval includes that.
    module NeededWords
      extend Text::Numerals

      class << self
        # without, with, low, high :: shares of people, 0 to 1: without it, with it, and the two
        # ends of the interval of the latter. Gives a sentence.
        def of(without, with, low, high)
          ends = [low, high].map { |share| share - without }.sort
          difference = Statistics::Interval.new(estimate: with - without, low: ends.first, high: ends.last)
          call(Statistics::NumberNeededToTreat.from(difference))
        end

        # needed :: Statistics::NumberNeededToTreat. Gives a sentence.
        def call(needed)
          low, high, other = [needed.low, needed.high, needed.other].map { |number| number && people(number) }
          near, far = needed.fewer ? %w[fewer more] : %w[more fewer]
          return "Number needed to treat for one #{near}: #{people(needed.estimate)} (#{low} to #{high})." unless other

          "Number needed to treat: not known. The interval runs from #{low} for one #{near}, through no " \
            "difference, to #{other} for one #{far}."
        end

        private

        def people(number) = number.finite? ? decimal(number, number < 10 ? 1 : 0) : "∞"
      end
    end
  end
end
