# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # What is worth having, as limits on either side of no effect on the scale of pooling.
      #
      # low, high :: Float, infinite where so large a change is not possible; guessed :: whether they are common practice and not the outcome's own
      class Worthwhile < Value
        attributes :low, :high, :guessed

        RATIO = [Math.log(0.8), Math.log(1.25)].freeze
        SMALL = 0.2
        DIFFERENCE = 0.02
        private_constant :RATIO, :SMALL, :DIFFERENCE

        class << self
          # pool :: Appraisal::Synthesis::Pool of a measure with a point of no effect. Gives a Worthwhile; nil
          # where the outcome has none of its own and none can be derived, as for a rate difference.
          def of(pool)
            own = pool.outcome.worthwhile
            limits = own && own_limits(pool, own)
            low, high = limits || usual(pool)
            new(low:, high:, guessed: limits.nil?) if low
          end

          private

          # Of people of 100, at the baseline; in the units of the measure where it has such.
          def own_limits(pool, own)
            measure = pool.measure
            return [-own / 100, own / 100] if measure.key == :risk_difference
            return [-own, own] unless measure.ratio?

            baseline = pool.baseline
            return unless baseline&.between?(0.001, 0.999) && pool.outcome.sort.baseline?

            ratios(measure, baseline, own / 100)
          end

          def ratios(measure, baseline, own)
            [(baseline - own), (baseline + own)].map { |risk| ratio(measure, risk, baseline) }
          end

          # A change to fewer than nobody, or to more than everybody, is never reached.
          def ratio(measure, risk, baseline)
            return -Float::INFINITY unless risk.positive?
            return Float::INFINITY if risk >= 1

            case measure.key
            when :odds_ratio, :peto_odds_ratio then Math.log(odds(risk) / odds(baseline))
            when :hazard_ratio then Math.log(Math.log(1 - risk) / Math.log(1 - baseline))
            else Math.log(risk / baseline)
            end
          end

          def odds(risk) = risk / (1 - risk)

          def usual(pool)
            return RATIO if pool.measure.ratio?

            reach = case pool.measure.key
                    when :risk_difference then DIFFERENCE
                    when :standardized then SMALL
                    else deviation(pool)&.*(SMALL)
                    end
            [-reach, reach] if reach
          end

          # The middle standard deviation of the groups; nil where none is given.
          def deviation(pool)
            groups = pool.studies.flat_map { |study| Array(study.reported.values).grep(Statistics::Effects::Means::Group) }
            Statistics.median(groups.map(&:deviation))
          end
        end
      end
    end
  end
end
