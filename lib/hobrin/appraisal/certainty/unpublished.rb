# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # Down by one where small studies tell something else than large ones (Egger's test, p below
      # 0.1, ten papers or more), where five or more are there and all of them small and on one
      # side, or where at least half as many protocols wait for results as there are papers. Common
      # practice, no source.
      module Unpublished
        DOUBTFUL = 0.1
        SMALL = 100
        SEVERAL = 5
        private_constant :DOUBTFUL, :SMALL, :SEVERAL

        class << self
          # Gives [steps, why].
          def of(pool, protocols)
            test = pool.egger
            doubts = [test && test.p < DOUBTFUL, small_only?(pool),
                      protocols >= 2 && protocols * 2 >= pool.studies.size]
            [doubts.any? ? -1 : 0,
             [egger_words(test, pool), small_words(pool),
              protocol_words(protocols)].compact.join("; ").concat(".")]
          end

          private

          def small_only?(pool)
            return false if pool.tests || pool.studies.size < SEVERAL || pool.measure.nothing.nil?

            one_side = pool.results.map { |one| one.effect.negative? }.uniq.size == 1
            one_side && pool.studies.all? { |study| study.reported.people&.<(SMALL) }
          end

          def egger_words(test, pool)
            return "Egger's test: p #{Said.p(test.p)} of #{pool.studies.size} papers" if test

            "#{pool.studies.size == 1 ? "One paper is" : "#{pool.studies.size} papers are"} too few for a " \
              "test of small ones (ten)"
          end

          def small_words(pool)
            small = pool.studies.count { |study| study.reported.people&.<(SMALL) }
            "#{small} of them under #{SMALL} people"
          end

          def protocol_words(protocols) = "protocols without results in the library: #{protocols}"
        end
      end
    end
  end
end
