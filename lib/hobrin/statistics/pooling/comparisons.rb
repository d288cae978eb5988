# frozen_string_literal: true

module Hobrin
  module Statistics
    # The pooled effect in other sets of the studies: without each in turn, one after the other,
    # and in groups with the test of the difference between them.
    module Comparisons
      # between, df, p :: Q between the groups and its test; groups :: Hash of label to Pooled
      class Groups < Value
        attributes :groups, :between, :df, :p
      end

      class << self
        # results :: Array of Result, two or more; tau2 :: as InverseVariance takes it. Array of
        # WithoutEach::One, each without the study of its place.
        def leave_one_out(results, tau2: nil) = WithoutEach.new(results, tau2:).call

        # results :: Array of Result; how :: as InverseVariance takes it. Array of Pooled, each of
        # the studies up to its place.
        def cumulative(results, **how)
          (1..results.size).reduce([]) do |pooled, size|
            [*pooled, InverseVariance.call(results.first(size), **how, near: pooled.last&.tau2)]
          end
        end

        # labels :: one for each result. Each group has a variance between studies of its own. Gives
        # Groups.
        def groups(results, labels, **how)
          pooled = results.zip(labels).group_by(&:last).transform_values do |some|
            InverseVariance.call(some.map(&:first), **how)
          end
          weights = pooled.values.map { |one| 1 / (one.error**2) }
          mean = pooled.values.zip(weights).sum do |one, weight|
            one.estimate * weight
          end / weights.sum
          between = pooled.values.zip(weights).sum do |one, weight|
            weight * ((one.estimate - mean)**2)
          end
          df = pooled.size - 1
          Groups.new(groups: pooled, between:, df:,
                     p: df.zero? ? 1.0 : ChiSquared.above(between, df))
        end
      end
    end
  end
end
