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
            studies = pool.studies.size
            return Book.t("appraisal.publication_bias.test", name:, p: Said.p(test.p), count: studies) if test
            return Book.t("appraisal.publication_bias.no_variation", name:) if pool.enough_to_test?

            Book.t("appraisal.publication_bias.too_few", count: studies)
          end

          def small_words(pool)
            small = pool.studies.count { |study| study.reported.people&.<(SMALL) }
            Book.t("appraisal.publication_bias.small", count: small, people: SMALL)
          end

          def protocol_words(protocols) = Book.t("appraisal.publication_bias.protocols", count: protocols)
        end
      end
    end
  end
end
