# frozen_string_literal: true

module Hobrin
  module Statistics
    # Whether small studies tell something else than large ones: Egger's regression of the effect on
    # its standard error, weighted by exactness (Egger et al., BMJ 1997;315:629, in the form of a
    # weighted regression with a dispersion of its own).
    module Egger
      # Fewer studies tell nothing (common practice: ten).
      FEWEST = 10

      # t, df, p :: of the slope on the standard error; limit :: the effect where the error is 0
      class Test < Value
        attributes :t, :df, :p, :limit
      end

      class << self
        # results :: Array of Result, three or more of different errors. Gives a Test, nil where the
        # errors are all alike.
        def call(results)
          weights = results.map(&:weight)
          errors = results.map(&:error)
          sum = weights.sum
          mean_error = dot(weights, errors) / sum
          mean_effect = dot(weights, results.map(&:effect)) / sum
          spread = results.zip(errors).sum { |one, error| one.weight * ((error - mean_error)**2) }
          return unless results.size > 2 && spread.positive?

          slope = results.zip(errors).sum do |one, error|
            one.weight * (error - mean_error) * (one.effect - mean_effect)
          end / spread
          limit = mean_effect - (slope * mean_error)
          test(results, errors, slope, limit, spread)
        end

        private

        def test(results, errors, slope, limit, spread)
          df = results.size - 2
          left = results.zip(errors).sum { |one, error| one.weight * ((one.effect - limit - (slope * error))**2) } / df
          t = slope / Math.sqrt(left / spread)
          Test.new(t:, df:, p: Student.two_sided(t, df), limit:)
        end

        def dot(one, two) = one.zip(two).sum { |x, y| x * y }
      end
    end
  end
end
