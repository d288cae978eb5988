# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
      # How results were pooled, in the codes of the standard (statistic-model-code of R5).
      module Model
        CODES = "http://hl7.org/fhir/statistic-model-code"
        TAU = { reml: ["tauRestrictedMaximumLikelihood", "Restricted Maximum Likelihood method"],
                dl: ["tauDersimonianLaird", "Dersimonian-Laird method"], pm: ["tauPauleMandel", "Paule-Mandel method"] }.freeze
        INVERSE = ["poolInverseVariance", "Inverse variance method"].freeze
        private_constant :CODES, :TAU, :INVERSE

        class << self
          # pool :: Appraisal::Synthesis::Pool. Gives an Array of Hashes, nil where nothing is pooled.
          def of(pool)
            return unless pool.pooled

            codes = [%w[metaAnalysis Meta-analysis], effects(pool.way), weights(pool), TAU[pool.way.model], knapp(pool)]
            codes.compact.map { |code, display| { code: { coding: [{ system: CODES, code:, display: }] } } }
          end

          private

          def effects(way) = way.random? ? %w[effectsRandom Random-effects] : %w[effectsFixed Fixed-effects]

          def weights(pool)
            return ["poolPeto", "Peto method"] if pool.measure.key == :peto_odds_ratio
            return INVERSE unless Appraisal::Synthesis::Pooling.by_counts?(pool.studies, pool.way)

            ["poolMantelHaenzsel", "Mantel-Haenszel method"]
          end

          # Never narrower than without it, which is the modified one.
          def knapp(pool) = pool.pooled.df && ["modifiedHartungKnapp", "Modified Hartung-Knapp adjustment"]
        end
      end
    end
  end
end
