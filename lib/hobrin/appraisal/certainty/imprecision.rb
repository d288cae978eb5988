# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # Down by one where the interval holds both something worth having and nothing to speak of,
      # by two where it holds something worth having either way; down by one, too, where there are
      # fewer people than one trial would need (the optimal information size). What is worth having
      # is the outcome's own smallest difference; where that is not said, a ratio beyond 0.8 or
      # 1.25 or a fifth of a standard deviation (common practice, no source). Where none can be
      # derived either, the interval is not rated and the difference is asked for.
      module Imprecision
        # Of 100, for a share and for a test without a difference of their own.
        WIDE = 10.0
        private_constant :WIDE

        class << self
          # Gives [steps, why].
          def of(pool)
            return of_test(pool) if pool.tests
            return [0, Book.t("appraisal.imprecision.not_pooled")] if pool.studies.size > 1 && pool.pooled.nil?
            return of_share(pool) unless pool.measure.nothing

            of_effect(pool, pool.pooled || alone(pool))
          end

          private

          # A single study with its own interval.
          def alone(pool)
            Synthesis::Pooling.inverse(pool.results, pool.way)
          end

          def of_effect(pool, pooled)
            worth = Worthwhile.of(pool)
            steps = worth ? by_interval(pooled, worth) : 0
            needed = InformationSize.of(pool, pooled)
            short = needed && needed.count > needed.there
            steps = -1 if steps.zero? && short
            [steps,
             [interval_words(pool, pooled), worth_words(pool, worth),
              needed&.words].compact.join("; ").concat(".")]
          end

          def by_interval(pooled, worth)
            both = pooled.low < worth.low && pooled.high > worth.high
            return -2 if both

            crosses_nothing = pooled.low.negative? && pooled.high.positive?
            crosses_worth = [worth.low, worth.high].any? do |limit|
              pooled.low < limit && pooled.high > limit
            end
            return 0 if crosses_nothing && !crosses_worth
            return 0 if !crosses_nothing && worth.guessed

            crosses_nothing || crosses_worth ? -1 : 0
          end

          def interval_words(pool, pooled)
            Book.t("appraisal.imprecision.interval", interval: Said.interval(pool.measure, pooled.low, pooled.high))
          end

          def worth_words(pool, worth)
            return Book.t("appraisal.imprecision.no_mid") unless worth

            ends = [worth.low, worth.high].select(&:finite?)
            limits = ends.size == 2 ? Said.interval(pool.measure, *ends) : ends.map { |bound| Said.number(pool.measure.told(bound)) }.join
            Book.t("appraisal.imprecision.#{worth.guessed ? "usual_mid" : "mid"}", limits:)
          end

          def of_share(pool)
            pooled = pool.pooled || alone(pool)
            wide(pool, { interval: [pool.measure.told(pooled.low), pool.measure.told(pooled.high)] })
          end

          def of_test(pool)
            both = { sensitivity: pool.tests.sensitivity, specificity: pool.tests.specificity }
            wide(pool, both.transform_values { |interval| [100 * interval.low, 100 * interval.high] })
          end

          # An interval that reaches further than worthwhile to both sides.
          def wide(pool, intervals)
            most = 2 * (pool.outcome.worthwhile || WIDE)
            over = intervals.count { |_, (low, high)| high - low > most }
            double = intervals.any? { |_, (low, high)| high - low > 2 * most }
            said = intervals.map do |name, (low, high)|
              Book.t("appraisal.imprecision.#{name}_width", low: Said.number(low), high: Said.number(high))
            end
            steps = over.positive? ? -1 : 0
            [double ? -2 : steps,
             Book.t("appraisal.imprecision.#{pool.outcome.worthwhile ? "wide" : "usual_wide"}", said: said.join("; "),
                                                                                                most: Said.number(most))]
          end
        end
      end
    end
  end
end
