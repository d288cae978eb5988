# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # Down by one where papers of high concern weigh more than a third, or where the pooled value
      # loses its direction without them; by two where they weigh more than two thirds and it does.
      # Down by one, too, where less than a third of the weight is of low concern. Where it begins:
      # common practice, no source.
      module RiskOfBias
        THIRD = 1.0 / 3
        private_constant :THIRD

        class << self
          # Gives [steps, why].
          def of(pool, kind)
            high, low, silent = %i[high low].map do |level|
              pool.weight_of { |study| study.paper.concern(kind) == level }
            end +
                                [pool.weight_of { |study| study.paper.concern(kind).nil? }]
            return [0, Book.t("appraisal.risk_of_bias.not_answered")] if silent > 0.999

            turns, without = without_high(pool, kind)
            [steps(high, low, silent, turns), reason(high, low, silent, without)]
          end

          private

          def steps(high, low, silent, turns)
            return -2 if high > 2 * THIRD && turns
            return -1 if high > THIRD || (turns && high.positive?)

            low + silent < THIRD ? -1 : 0
          end

          # [whether the direction is lost without papers of high concern, what is left, in words]
          def without_high(pool, kind)
            left = pool.without { |study| study.paper.concern(kind) == :high }
            return [false, nil] unless left

            told = Said.number(pool.measure.told(left.estimate))
            [Direct.way(pool.pooled) != Direct.way(left),
             Book.t("appraisal.risk_of_bias.without_high", value: told, interval: Said.interval(pool.measure, left.low, left.high))]
          end

          def reason(high, low, silent, without)
            said = [Book.t("appraisal.risk_of_bias.weights", high: Said.percent(high), low: Said.percent(low))]
            said << Book.t("appraisal.risk_of_bias.unanswered", percent: Said.percent(silent)) if silent > 0.001
            said << without if without && high.positive?
            "#{said.join("; ")}."
          end
        end
      end
    end
  end
end
