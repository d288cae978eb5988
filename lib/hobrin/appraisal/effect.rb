# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What a 2×2 table says: risk ratio, risk difference, number needed to treat, with 95 %
    # intervals. ratio is nil where none can be told, see Statistics::TwoByTwo::RiskRatio.
    class Effect < Value
      attributes :table, :ratio, :difference, :needed

      def self.of(table)
        difference = Statistics::TwoByTwo::RiskDifference.call(table)
        new(table:, ratio: Statistics::TwoByTwo::RiskRatio.call(table), difference:,
            needed: Statistics::TwoByTwo::NumberNeededToTreat.from(difference))
      end

      # What a comparison says, by its interval and never by its estimate alone: fewer or less, more,
      # about alike, or that it cannot tell.
      #
      # For a ratio, "about alike" is an interval wholly between 4/5 and 5/4 (common practice, no source,
      # after the thresholds that guidance on certainty gives from memory); for a difference of means it
      # is one within a fifth of a standard deviation on either side (Cohen's small effect).
      module Direction
        ALL = %i[less more alike uncertain].freeze
        RATIO = (0.8..1.25)
        SMALL = 0.2
        private_constant :RATIO, :SMALL

        class << self
          # interval :: Statistics::Interval of a ratio. Gives one of ALL.
          def of_ratio(interval) = of(interval, 1.0, RATIO)

          # interval :: Statistics::Interval of a difference of means; sd :: the standard deviation of
          #   the scale. Gives one of ALL.
          def of_difference(interval, sd:) = of(interval, 0.0, (-SMALL * sd)..(SMALL * sd))

          private

          def of(interval, nothing, alike)
            return :less if interval.high < nothing
            return :more if interval.low > nothing

            alike.cover?(interval.low..interval.high) ? :alike : :uncertain
          end
        end
      end

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
end
