# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What an effect means for people of whom a known share has the outcome without it.
    module Hundred
      class << self
        # measure :: Outcome::Measure; value :: on the scale of pooling; baseline :: 0 to 1. Gives
        # the share with it, 0 to 1; nil for a measure that no share follows from.
        #
        # Of an odds ratio by its definition; of a hazard ratio by 1 − (1 − p)^HR, as if the hazards
        # kept in proportion (common practice).
        def with(measure, value, baseline)
          case measure.key
          when :risk_ratio, :rate_ratio then [baseline * Math.exp(value), 1.0].min
          when :odds_ratio, :peto_odds_ratio then of_odds(baseline, Math.exp(value))
          when :risk_difference then (baseline + value).clamp(0.0, 1.0)
          when :hazard_ratio then 1 - ((1 - baseline)**Math.exp(value))
          end
        end

        private

        def of_odds(baseline, ratio)
          return baseline if baseline >= 1

          odds = baseline / (1 - baseline) * ratio
          odds / (1 + odds)
        end
      end
    end
  end
end
