# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # Down by one where small studies show something else than large ones (Peters' test for
      # ratios of events, else Egger's; p below 0.1, ten papers or more), where five or more are there and all of them small and on one
      # side, or where at least half as many protocols wait for results as there are papers. Common
      # practice, no source.
      module PublicationBias
        DOUBTFUL = 0.1
        SMALL = 100
        SEVERAL = 5
        private_constant :DOUBTFUL, :SMALL, :SEVERAL

        class << self
          # Gives [steps, why].
          def of(pool, protocols)
            _, test = pool.small_study_test
            doubts = [test && test.p < DOUBTFUL, small_only?(pool),
                      protocols >= 2 && protocols * 2 >= pool.studies.size]
            [doubts.any? ? -1 : 0,
             [test_words(pool), small_words(pool),
              protocol_words(protocols)].compact.join("; ").concat(".")]
          end

          private

          def small_only?(pool)
            return false if pool.tests || pool.studies.size < SEVERAL || pool.measure.nothing.nil?

            one_side = pool.results.map { |result| result.effect.negative? }.uniq.size == 1
            one_side && pool.studies.all? { |study| study.reported.people&.<(SMALL) }
          end

          def test_words(pool)
            name, test = pool.small_study_test
            return "#{name}: p #{Said.p(test.p)} of #{pool.studies.size} papers" if test
            return "#{name}: the papers do not vary in size and effect, so there is nothing to test" if pool.enough_to_test?

            "#{pool.studies.size == 1 ? "One paper is" : "#{pool.studies.size} papers are"} too few for a " \
              "test of small-study effects (ten)"
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
