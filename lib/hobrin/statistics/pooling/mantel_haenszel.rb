# frozen_string_literal: true

module Hobrin
  module Statistics
    module Pooling
      # Pools counts of two groups by the weights of Mantel and Haenszel (1959), with the variances of
      # Robins, Breslow and Greenland (1986) for odds ratios, Greenland and Robins (1985) for risk
      # ratios, Sato, Greenland and Robins (1989) for differences; from memory. Uses the counts as
      # they are, empty cells too.
      module MantelHaenszel
        MEASURES = %i[log_risk_ratio log_odds_ratio risk_difference].freeze

        class << self
          # tables :: Array of TwoByTwo; measure :: one of MEASURES. Gives a Pooled, nil where no study
          # tells anything. Q is that of the studies' own effects about the pooled one.
          def call(tables, measure, level: 0.95)
            cells = tables.map { |table| table.cells.map(&:to_f) }
            estimate, variance, weights = send(measure, cells)
            return unless estimate&.finite? && variance.positive?

            pooled(tables, measure, estimate, Math.sqrt(variance), weights, level)
          end

          private

          def log_odds_ratio(cells)
            r, s, p, q = columns(cells) do |a, b, c, d, n|
              [a * d / n, b * c / n, (a + d) / n, (b + c) / n]
            end
            return if r.sum.zero? || s.sum.zero?

            [Math.log(r.sum / s.sum), variance_of_odds(r, s, p, q), s]
          end

          def variance_of_odds(r, s, p, q)
            one, two = [r.sum, s.sum]
            ((dot(p, r) / (one**2)) + ((dot(p, s) + dot(q, r)) / (one * two)) + (dot(q, s) / (two**2))) / 2
          end

          def log_risk_ratio(cells)
            r, s, t = columns(cells) do |a, b, c, d, n|
              [a * (c + d) / n, c * (a + b) / n, (((a + b) * (c + d) * (a + c)) - (a * c * n)) / (n**2)]
            end
            return if r.sum.zero? || s.sum.zero?

            [Math.log(r.sum / s.sum), t.sum / (r.sum * s.sum), s]
          end

          def risk_difference(cells)
            weights, parts, slopes, rests = columns(cells) do |a, b, c, d, n|
              one, two = [(a + b) / n, (c + d) / n]
              [one * two * n, (a * two) - (c * one), slope(a, c, one, two, n), ((a * d) + (c * b)) / n / 2]
            end
            estimate = parts.sum / weights.sum
            [estimate, ((estimate * slopes.sum) + rests.sum) / (weights.sum**2), weights]
          end

          def slope(a, c, one, two, n)
            (c * (one**2)) - (a * (two**2)) + (one * two * (two - one) * n / 2)
          end

          # What the block gives for the cells of each study and their sum, column by column.
          def columns(cells) = cells.map { |four| yield(*four, four.sum) }.transpose

          def dot(one, two) = one.zip(two).sum { |x, y| x * y }

          def pooled(tables, measure, estimate, error, weights, level)
            reach = Distributions::Normal.quantile((1 + level) / 2) * error
            Pooled.new(estimate:, error:, low: estimate - reach, high: estimate + reach,
                       statistic: estimate / error, df: nil, p: Distributions::Normal.two_sided(estimate / error),
                       weights: weights.map { |weight| weight / weights.sum }, tau2: 0.0,
                       **spread(tables, measure, estimate), prediction: nil)
          end

          def spread(tables, measure, estimate)
            results = tables.filter_map { |table| Effects::TwoGroups.call(table, measure) }
            q = results.sum { |result| result.weight * ((result.effect - estimate)**2) }
            df = [results.size - 1, 0].max
            { q:, q_df: df, q_p: df.zero? ? 1.0 : Distributions::ChiSquared.above(q, df),
              i2: Heterogeneity.beyond_chance(q, df) }
          end
        end
      end
    end
  end
end
