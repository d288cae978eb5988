# frozen_string_literal: true

module Hobrin
  module Statistics
    # Effects of two groups, as they are pooled: on the scale on which they are nearly normal.
    module Effects
      # Effects of two groups counted by an outcome that happens or does not, as they are pooled.
      # Where a cell is empty ½ is added to each cell of that study, but for the risk difference, as
      # R's metafor does by default.
      module TwoGroups
        MEASURES = %i[log_risk_ratio log_odds_ratio risk_difference peto_log_odds_ratio].freeze

        class << self
          # table :: TwoByTwo; measure :: one of MEASURES. Gives a Result; nil where a study with no
          # outcome, or with nothing else, tells nothing.
          def call(table, measure) = of(table.cells, measure)

          # cells :: with and without the outcome, first in the group with the intervention; Numerics
          #   from 0, of a shared comparison group also parts of people
          def of(cells, measure)
            return if tells_nothing?(cells, measure)

            effect, variance = public_send(measure, *corrected(cells, measure))
            Pooling::Result.new(effect:, variance:, counts: cells) if variance.positive?
          end

          # (a/n1) / (c/n2) on the log scale (Katz 1978).
          def log_risk_ratio(a, b, c, d)
            [Math.log(a / (a + b)) - Math.log(c / (c + d)), (1 / a) - (1 / (a + b)) + (1 / c) - (1 / (c + d))]
          end

          # Woolf 1955.
          def log_odds_ratio(a, b, c, d)
            [Math.log(a * d / (b * c)), (1 / a) + (1 / b) + (1 / c) + (1 / d)]
          end

          def risk_difference(a, b, c, d)
            n1, n2 = a + b, c + d
            [(a / n1) - (c / n2), (a * b / (n1**3)) + (c * d / (n2**3))]
          end

          # Observed less expected over the variance of a hypergeometric (Yusuf et al. 1985).
          def peto_log_odds_ratio(a, b, c, d)
            n1, n2, total = a + b, c + d, a + b + c + d
            variance = n1 * n2 * (a + c) * (b + d) / ((total**2) * (total - 1))
            [(a - (n1 * (a + c) / total)) / variance, 1 / variance]
          end

          private

          def tells_nothing?(cells, measure)
            a, b, c, d = cells
            measure != :risk_difference && ((a + c).zero? || (b + d).zero?)
          end

          def corrected(cells, measure)
            cells = cells.map(&:to_f)
            return cells if cells.none?(&:zero?) || measure == :peto_log_odds_ratio

            cells.map { |cell| cell + 0.5 }
          end
        end
      end

      # Effects of two groups measured on a scale.
      module Means
        # One group: how many, their mean and standard deviation.
        class Group < Value
          attributes :size, :mean, :deviation
        end

        class << self
          # one, two :: Groups. Gives a Result in the units of the scale.
          def difference(one, two)
            Pooling::Result.new(effect: one.mean - two.mean, variance: squared_error(one) + squared_error(two))
          end

          # The difference in standard deviations, Hedges' g with the exact correction and the
          # variance 1/n1 + 1/n2 + g² / (2 (n1 + n2)) (Hedges 1981, as R's metafor by default).
          def standardized(one, two)
            df = one.size + two.size - 2
            deviation = Math.sqrt([one, two].sum { |group| (group.size - 1) * (group.deviation**2) }.fdiv(df))
            g = correction(df) * (one.mean - two.mean) / deviation
            chance = (1.0 / one.size) + (1.0 / two.size)
            Pooling::Result.new(effect: g, variance: chance + (g * g / (2.0 * (df + 2))))
          end

          private

          def squared_error(group) = (group.deviation**2) / group.size.to_f

          # Γ(m/2) / (√(m/2) Γ((m − 1)/2))
          def correction(df)
            above, below = [df, df - 1].map { |degrees| Distributions::Special.log_gamma(degrees / 2.0) }
            Math.exp(above - Math.log(Math.sqrt(df / 2.0)) - below)
          end
        end
      end

      # Effects of two groups in which events are counted over time. Where a group has no event ½ is
      # added to the events of both, as R's metafor does by default.
      module Rates
        MEASURES = %i[log_rate_ratio rate_difference].freeze

        class << self
          # events, time, comparison_events, comparison_time :: Numerics, events from 0, times above 0
          # measure :: one of MEASURES. Gives a Result; nil where nothing happened in either group
          # and a ratio is asked for.
          def call(events, time, comparison_events, comparison_time, measure)
            return if events.zero? && comparison_events.zero?

            x1, x2 = [events, comparison_events].map do |number|
              number + ([events, comparison_events].min.zero? ? 0.5 : 0.0)
            end
            effect, variance = public_send(measure, x1, time.to_f, x2, comparison_time.to_f)
            Pooling::Result.new(effect:, variance:)
          end

          def log_rate_ratio(x1, t1, x2, t2) = [Math.log((x1 / t1) / (x2 / t2)), (1 / x1) + (1 / x2)]

          def rate_difference(x1, t1, x2, t2)
            [(x1 / t1) - (x2 / t2), (x1 / (t1**2)) + (x2 / (t2**2))]
          end
        end
      end

      # An effect as a paper prints it, with its interval, its standard error or its p-value.
      module ReadyMade
        class << self
          # value :: Float, above 0 for a ratio; ratio :: whether it is one, so that all is told on the
          #   log scale; low, high :: of its interval; level :: of that
          # Gives a Result.
          def from_interval(value, low, high, ratio:, level: 0.95)
            value, low, high = [value, low, high].map { |number| Math.log(number) } if ratio
            error = (high - low) / (2 * Distributions::Normal.quantile((1 + level) / 2))
            Pooling::Result.new(effect: value, variance: error**2)
          end

          # error :: of the value, of its logarithm for a ratio
          def from_error(value, error, ratio:)
            Pooling::Result.new(effect: ratio ? Math.log(value) : value, variance: error.to_f**2)
          end

          # p :: two-sided, of a test by the normal distribution (common practice: so it is when a
          #   paper does not say). The value must differ from no effect.
          def from_p(value, p, ratio:)
            effect = ratio ? Math.log(value) : value.to_f
            Pooling::Result.new(effect:, variance: (effect / Distributions::Normal.quantile(1 - (p / 2.0)))**2)
          end
        end
      end

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
            Pooling::Result.new(effect:, variance: [variance, Float::EPSILON].max, counts:)
          end
        end
      end
    end
  end
end
