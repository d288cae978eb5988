# frozen_string_literal: true

module Hobrin
  module Statistics
    # How much the studies differ beyond chance: Cochran's Q, and the generalized Q for any variance
    # between studies, by which intervals of τ² and I² are found (Viechtbauer, Stat Med 2007;26:37,
    # from memory; as R's metafor does).
    class Heterogeneity
      # results :: Array of Result
      def initialize(results)
        @results = results
      end

      def df = @results.size - 1
      def q(tau2 = 0.0) = weighted_squares(tau2)
      def p = df.zero? ? 1.0 : ChiSquared.above(q, df)

      # The variance within studies that stands for all of them (Higgins and Thompson 2002).
      def typical
        weights = @results.map(&:weight)
        sum = weights.sum
        df / (sum - (weights.sum { |weight| weight**2 } / sum))
      end

      # The share of the variance that lies between studies, 0 to 1, for a τ².
      def i2(tau2) = df.zero? ? 0.0 : tau2 / (tau2 + typical)

      # The share of a Q that is more than chance makes it, 0 to 1 (Higgins and Thompson 2002).
      def self.beyond_chance(q, df) = q.zero? ? 0.0 : [(q - df) / q, 0.0].max

      # [low, high] of τ², by where the generalized Q meets the chi-squared distribution; nil for a
      # single study. level :: of the interval
      def tau2_interval(level: 0.95)
        return if df.zero?

        [1 + level, 1 - level].map { |share| where(ChiSquared.quantile(share / 2, df)) }
      end

      def i2_interval(level: 0.95) = tau2_interval(level:)&.map { |tau2| i2(tau2) }

      private

      # τ² at which the generalized Q, which falls as τ² grows, is a value; 0 when it never is as
      # high.
      def where(value)
        return 0.0 if q <= value

        most = [typical, @results.sum(&:variance)].max
        most *= 4 while q(most) > value
        Root.between(0.0, most) { |tau2| q(tau2) - value }
      end

      def weighted_squares(tau2)
        weights = @results.map { |result| 1 / (result.variance + tau2) }
        mean = @results.zip(weights).sum { |one, weight| one.effect * weight } / weights.sum
        @results.zip(weights).sum { |one, weight| weight * ((one.effect - mean)**2) }
      end
    end
  end
end
