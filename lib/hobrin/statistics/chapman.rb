# frozen_string_literal: true

module Hobrin
  module Statistics
    # How many there are in all, from what two independent searches found and what both found:
    # Chapman's estimate.
    #
    # Sources: Chapman 1951, Some properties of the hypergeometric distribution; the interval is
    # Sadinle 2009, Communications in Statistics 38: 1909 (both from memory). It holds when each
    # search finds a paper independently of the other; searches by like words do not, and then there
    # are more than it says. Where nearly all that one finds lies within the other, they are not
    # independent, or cannot be told to be (common practice, no source, for nine in ten).
    module Chapman
      HALF = 0.5
      LIKE = 0.9
      private_constant :HALF, :LIKE

      # one, other :: how many each search found; both :: how many of them both found. Integers from 0.
      # Gives an Interval of 95 % around the number of all; nil when one search finds nothing, when the
      # two are alike or one lies within the other, or when the estimate lies outside its own
      # interval: then these searches cannot tell. Raises ArgumentError when both is more than
      # either.
      #
      #   Chapman.call(10, 15, 5).estimate.round(1) # => 28.3
      def self.call(one, other, both)
        raise ArgumentError, "both cannot be more than either" if both > [one, other].min

        return if [one, other].min.zero? || both >= LIKE * [one, other].min

        found = Interval.new(estimate: ((one + 1.0) * (other + 1) / (both + 1)) - 1,
                             **ends(both, one - both, other - both))
        found if found.estimate.between?(found.low, found.high)
      end

      # Of those that only one or both found, with a half added to each.
      def self.ends(*counts)
        shared, left, right = counts.map { |number| number + HALF }
        spread = Distributions::Normal::Z95 * Math.sqrt((1 / shared) + (1 / left) + (1 / right) + (shared / (left * right)))
        found = counts.sum - HALF
        unseen = left * right / shared
        { low: found + (unseen * Math.exp(-spread)), high: found + (unseen * Math.exp(spread)) }
      end
      private_class_method :ends
    end
  end
end
