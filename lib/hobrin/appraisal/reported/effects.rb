# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # The effect of one result by a measure, as it is pooled.
      module Effects
        TWO_GROUPS = { risk_ratio: :log_risk_ratio, odds_ratio: :log_odds_ratio, risk_difference: :risk_difference,
                       peto_odds_ratio: :peto_log_odds_ratio }.freeze
        RATES = { rate_ratio: :log_rate_ratio, rate_difference: :rate_difference }.freeze
        private_constant :TWO_GROUPS, :RATES

        class << self
          # values :: as Values gives them; measure :: Outcome::Measure; turned :: whether the
          #   scale runs the other way
          # Gives a Statistics::Result; nil where the numbers tell nothing by that measure, or are
          # an effect by another one.
          def of(values, measure, turned: false)
            case values
            when Statistics::TwoByTwo then Statistics::TwoGroups.call(
              turned ? opposite(values) : values, TWO_GROUPS.fetch(measure.key)
            )
            when Hash then turn(ready(values, measure), turned)
            when Array then turn(of_array(values, measure), turned)
            end
          rescue ArgumentError
            nil
          end

          # Those who did not have it in place of those who did.
          def opposite(table)
            table.with(events: table.total - table.events,
                       comparison_events: table.comparison_total - table.comparison_events)
          end

          private

          def of_array(values, measure)
            case measure.key
            when :mean_difference then Statistics::Means.difference(*values)
            when :standardized then Statistics::Means.standardized(*values)
            when :rate_ratio, :rate_difference then Statistics::Rates.call(*values,
                                                                           RATES.fetch(measure.key))
            when :share then Statistics::Shares.call(*values)
            end
          end

          # A ready-made effect is in the measure that the outcome has first; it cannot become
          # another.
          def ready(values, measure)
            return unless values[:measure].nil? || values[:measure] == measure.key

            value, low, high, p = values.values_at(:value, :low, :high, :p)
            ratio = measure.ratio?
            low ? Statistics::ReadyMade.from_interval(value, low, high,
                                                      ratio:) : Statistics::ReadyMade.from_p(value,
                                                                                             p, ratio:)
          end

          def turn(result, turned)
            return result unless result && turned

            Statistics::Result.new(effect: -result.effect, variance: result.variance)
          end
        end
      end
    end
  end
end
