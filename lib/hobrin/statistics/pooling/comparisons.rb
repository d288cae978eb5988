# frozen_string_literal: true

module Hobrin
  module Statistics
    module Pooling
      # The pooled effect in other sets of the studies: without each in turn, one after the other,
      # and in groups with the test of the difference between them.
      module Comparisons
        # between, df, p :: Q between the groups and its test; groups :: Hash of label to Pooled
        class Groups < Value
          attributes :groups, :between, :df, :p
        end

        class << self
          # results :: Array of Result, two or more; tau2 :: as InverseVariance takes it. The block
          # gives the other options of InverseVariance for so many studies; without it there are
          # none. Array of Pooled, each without the study of its place.
          def leave_one_out(results, tau2: nil, &options)
            known = tau2 ? Tau2.new(results, tau2).without_each : []
            results.each_index.map do |place|
              others = results.reject.with_index { |_, other| other == place }
              pool(others, tau2, known[place], options)
            end
          end

          # As above; each of the studies up to its place.
          def cumulative(results, tau2: nil, &options)
            known = tau2 ? Tau2.new(results, tau2).up_to_each : []
            results.each_index.map do |place|
              pool(results.first(place + 1), tau2, known[place], options)
            end
          end

          # labels :: one for each result. Each group has a variance between studies of its own. Gives
          # Groups.
          def groups(results, labels, tau2: nil, &options)
            sets = results.zip(labels).group_by(&:last).transform_values { |some| some.map(&:first) }
            between(sets.transform_values { |some| pool(some, tau2, nil, options) },
                    sets.values.map { |some| InverseVariance.call(some, tau2:) })
          end

          # groups :: Hash of label to Pooled; plain :: Array of Pooled, the same with their plain
          # standard errors, by which the test goes whatever the intervals are. Gives Groups.
          def between(groups, plain = groups.values)
            middles = plain.map { |pooled| Result.new(effect: pooled.estimate, variance: pooled.error**2) }
            spread = Heterogeneity.new(middles)
            Groups.new(groups:, between: spread.q, df: spread.df, p: spread.p)
          end

          private

          def pool(results, tau2, between, options)
            InverseVariance.call(results, tau2:, between:, **options&.call(results.size).to_h)
          end
        end
      end
    end
  end
end
