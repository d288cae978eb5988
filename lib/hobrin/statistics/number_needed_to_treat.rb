# frozen_string_literal: true

module Hobrin
  module Statistics
    # How many people must have the intervention for one more to be spared (or given) the outcome:
    # 1 / |risk difference|, its interval the reciprocals of the difference's ends. Where the
    # difference may be nothing, the interval runs from one side through infinity to the other and
    # is told as two halves: Altman, BMJ 1998;317:1309.
    #
    # estimate :: Float > 0, or infinity when there is no difference
    # fewer    :: true when the outcome is rarer with the intervention, nil when there is no difference
    # low, high :: the ends on the estimate's side; high is infinite when no difference is possible;
    #   of no difference, the side of one more with the outcome
    # other    :: the nearest number on the other side, or nil when the interval does not reach it
    class NumberNeededToTreat < Value
      attributes :estimate, :fewer, :low, :high, :other

      # difference :: the Interval of RiskDifference
      def self.from(difference)
        fewer = difference.estimate.negative?
        ends = [difference.low, difference.high].map { |bound| fewer ? -bound : bound }.sort
        new(estimate: reciprocal(difference.estimate.abs), fewer: difference.estimate.zero? ? nil : fewer,
            low: reciprocal(ends.last), high: ends.first.positive? ? reciprocal(ends.first) : Float::INFINITY,
            other: ends.first.negative? ? reciprocal(-ends.first) : nil)
      end

      def self.reciprocal(number) = number.zero? ? Float::INFINITY : 1 / number
      private_class_method :reciprocal

      # Whether "no difference" lies within the interval.
      def crosses_nothing? = !other.nil?
    end
  end
end
