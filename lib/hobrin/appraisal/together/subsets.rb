# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Together
      # Parts of the studies of an outcome, each pooled in the same way as the whole.
      class Subsets
        # studies :: Array of Study, two or more, all with a result; way :: Outcome::Way
        def initialize(studies, way)
          @studies = studies
          @way = way
          @by_counts = Pooling.by_counts?(studies, way)
        end

        # Array of Statistics::Pooled, each without the study of its place, nil where counts tell
        # nothing.
        def without_each
          return Statistics::Comparisons.leave_one_out(results, tau2:, &options) unless @by_counts

          @studies.each_index.map do |place|
            by_counts(@studies.reject.with_index { |_, other| other == place })
          end
        end

        # The same of the studies up to each place.
        def up_to_each
          return Statistics::Comparisons.cumulative(results, tau2:, &options) unless @by_counts

          (1..@studies.size).map { |size| by_counts(@studies.first(size)) }
        end

        # labels :: one for each study. Gives Statistics::Comparisons::Groups.
        def in_groups(labels)
          return Statistics::Comparisons.groups(results, labels, tau2:, &options) unless @by_counts

          groups = @studies.zip(labels).group_by(&:last)
          pooled = groups.transform_values { |group| by_counts(group.map(&:first)) }
          Statistics::Comparisons.between(pooled.compact)
        end

        private

        def results = @studies.map(&:result)
        def tau2 = Pooling.tau2(@way)
        def options = ->(size) { Pooling.interval(@way, size) }

        # One study stands by its own effect.
        def by_counts(studies)
          Pooling.call(studies, @way) || Pooling.inverse(studies.map(&:result), @way)
        end
      end
    end
  end
end
