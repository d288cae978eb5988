# frozen_string_literal: true

module Hobrin
  module Statistics
    # Effects of a crossover trial, in which everybody was in both groups, by the correlation of
    # the two results of a person. What the groups give is as of two groups; the error is smaller
    # the higher the correlation is (Elbourne et al., Int J Epidemiol 2002;31:140; from memory), as
    # R's metafor does for MC, MPRR, MPOR and MPRD.
    module Paired
      class << self
        # one, two :: Means::Group of the same people; correlation :: −1 to 1. A Result in the units
        # of the scale.
        def difference(one, two, correlation)
          variance = (one.deviation**2) + (two.deviation**2) - (2 * correlation * one.deviation * two.deviation)
          result(one.mean - two.mean, variance / people(one, two))
        end

        # In standard deviations of the two groups, Hedges' g; its variance
        # (1/n + g²/2n) × 2 (1 − r), after the same paper.
        def standardized(one, two, correlation)
          g = Means.standardized(one, two).effect
          size = people(one, two)
          result(g, ((1 / size) + (g * g / (2 * size))) * 2 * (1 - correlation))
        end

        # table :: TwoByTwo of the same people; measure :: one of TwoGroups::MEASURES. A Result; nil
        # where it tells nothing. Of an empty cell, and by Peto, no account of the pairs is taken.
        def counts(table, measure, correlation)
          plain = TwoGroups.call(table, measure)
          return plain if plain.nil? || table.cells.any?(&:zero?) || measure == :peto_log_odds_ratio

          together = correlation * Math.sqrt(spread(table.risk) * spread(table.comparison_risk)) / people_of(table)
          result(plain.effect, plain.variance - (2 * together * slope(table, measure)), plain.counts)
        end

        private

        # Of two groups of unequal size, by who was lost, the mean.
        def people(one, two) = (one.size + two.size) / 2.0
        def people_of(table) = (table.total + table.comparison_total) / 2.0
        def spread(risk) = risk * (1 - risk)

        # What the covariance of the two risks is multiplied by on the scale of the measure.
        def slope(table, measure)
          one, two = table.risk, table.comparison_risk
          case measure
          when :log_risk_ratio then 1 / (one * two)
          when :log_odds_ratio then 1 / (spread(one) * spread(two))
          else 1.0
          end
        end

        def result(effect, variance, counts = nil)
          Result.new(effect:, variance: [variance, Float::EPSILON].max, counts:)
        end
      end
    end
  end
end
