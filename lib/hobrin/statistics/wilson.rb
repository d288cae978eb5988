# frozen_string_literal: true

module Hobrin
  module Statistics
    # The Wilson score interval of a proportion, without continuity correction.
    # Source: Wilson, J Am Stat Assoc 1927;22:209, as method 3 of Newcombe, Stat Med 1998;17:857.
    #
    #   (2np + z² ± z √(z² + 4npq)) / (2(n + z²)),  p = events / n, q = 1 − p
    module Wilson
      # events, n :: Integers, 0 <= events <= n, n > 0. Gives an Interval of proportions, 0..1.
      def self.call(events, n, z: Normal::Z95)
        raise ArgumentError, "needs 0 <= events <= n and n > 0" unless n.positive? && events.between?(0, n)

        p = events.fdiv(n)
        middle = 2 * events + z**2
        reach = z * Math.sqrt(z**2 + 4 * events * (1 - p))
        whole = 2 * (n + z**2)
        Interval.new(estimate: p, low: [(middle - reach) / whole, 0.0].max,
                     high: [(middle + reach) / whole, 1.0].min)
      end
    end
  end
end
