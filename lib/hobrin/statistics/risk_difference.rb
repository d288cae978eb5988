# frozen_string_literal: true

module Hobrin
  module Statistics
    # The difference of two risks (intervention minus comparison) with the 95 % interval built from
    # the two Wilson intervals: method 10 of Newcombe, Stat Med 1998;17:873. It stays inside −1..1
    # and holds at small numbers, where the simple interval does not.
    #
    #   low  = d − √((p1 − l1)² + (u2 − p2)²),  high = d + √((u1 − p1)² + (p2 − l2)²)
    module RiskDifference
      # table :: a TwoByTwo. Gives an Interval of proportions, −1..1.
      def self.call(table, z: Normal::Z95)
        one = Wilson.call(table.events, table.total, z:)
        two = Wilson.call(table.comparison_events, table.comparison_total, z:)
        difference = one.estimate - two.estimate
        Interval.new(estimate: difference,
                     low: difference - Math.hypot(one.estimate - one.low, two.high - two.estimate),
                     high: difference + Math.hypot(one.high - one.estimate, two.estimate - two.low))
      end
    end
  end
end
