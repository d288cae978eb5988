# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # Down by one where papers about people or things far from ours weigh more than a third, by
      # two where they weigh more than two thirds and two of their parts are far. Where it begins:
      # common practice, no source.
      module Indirectness
        THIRD = 1.0 / 3
        private_constant :THIRD

        class << self
          # Gives [steps, why].
          def of(pool)
            silent = pool.weight_of { |study| study.paper.near.nil? }
            return [0, Book.t("appraisal.indirectness.not_judged")] if silent > 0.999

            far = pool.weight_of { |study| study.paper.near == :far }
            parts = far_parts(pool)
            steps = far > THIRD ? -1 : 0
            steps = -2 if far > 2 * THIRD && parts.size > 1
            said = [Book.t("appraisal.indirectness.#{parts.any? ? "different_in" : "different"}", percent: Said.percent(far),
                                                                                                  parts: parts.join(", "))]
            said << Book.t("appraisal.indirectness.unjudged", percent: Said.percent(silent)) if silent > 0.001
            [steps, said.join(" ")]
          end

          private

          def far_parts(pool)
            pool.studies.flat_map { |study| study.paper.applies.select { |_, near| near == :far }.keys }.uniq
                .map { |part| Paper::Applicability::PARTS.fetch(part).downcase }
          end
        end
      end
    end
  end
end
