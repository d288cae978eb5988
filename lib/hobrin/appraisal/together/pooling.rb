# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Together
      # Puts results together in the way that an outcome asks for.
      module Pooling
        # From so many studies on the interval is that of Hartung and Knapp: with two it tells nothing
        # (common practice, no source).
        ENOUGH = 3

        class << self
          # studies :: Array of Study, all with a result; way :: Outcome::Way. Gives a
          # Statistics::Pooled; nil for fewer than two, or where counts tell nothing.
          def call(studies, way)
            return if studies.size < 2
            return weighed(studies, way) if by_counts?(studies, way)

            inverse(studies.map(&:result), way)
          end

          # Whether the counts themselves are weighed: each study gives them, and it is asked for.
          def by_counts?(studies, way)
            way.model == :mantel_haenszel && studies.all? { |study| study.reported.plain_table }
          end

          # How InverseVariance is to go about it. results :: how many there are
          def how(way, results) = { tau2: tau2(way), **interval(way, results) }

          # results :: Array of Statistics::Result, one or more
          def inverse(results, way)
            Statistics::InverseVariance.call(results, **how(way, results.size))
          end

          # The variance between studies that is asked for, a key of Statistics::Tau2::METHODS.
          def tau2(way) = way.random? ? way.model : nil

          # Of which method and level the interval is.
          def interval(way, results)
            knapp = way.random? && way.knapp && results >= ENOUGH
            { level: way.share, hartung_knapp: knapp && :never_narrower }
          end

          private

          def weighed(studies, way)
            Statistics::MantelHaenszel.call(studies.map { |study| study.reported.plain_table }, way.weighed, level: way.share)
          end
        end
      end
    end
  end
end
