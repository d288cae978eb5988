# frozen_string_literal: true

module Hobrin
  module Statistics
    # Where a function that grows (or falls) passes through 0: bisection with a secant where that is
    # nearer (Illinois method; from memory).
    module Root
      STEPS = 300
      CLOSE = 1e-14
      private_constant :STEPS, :CLOSE

      # The block gives a Float of a Float; its signs at the two ends differ, or the end that is
      # nearer to 0 is given.
      def self.between(low, high)
        here, there = [[low, yield(low)], [high, yield(high)]]
        return [here, there].min_by { |_, value| value.abs }.first if same_side?(here, there)

        STEPS.times do
          at = step(here, there)
          middle = [at, yield(at)]
          return at if middle.last.zero? || near?(here.first, there.first)

          here = same_side?(middle, there) ? [here.first, here.last / 2] : there
          there = middle
        end
        there.first
      end

      # Where the secant meets 0, or the middle where it leads astray.
      def self.step(here, there)
        (low, at_low), (high, at_high) = [here, there]
        at = high - (at_high * (high - low) / (at_high - at_low))
        at.finite? && at.between?(*[low, high].minmax) ? at : (low + high) / 2
      end

      def self.same_side?(one, two) = one.last.positive? == two.last.positive? && !one.last.zero? && !two.last.zero?
      def self.near?(one, two) = (one - two).abs <= CLOSE * [one.abs, two.abs].max
      private_class_method :step, :same_side?, :near?
    end
  end
end
