# frozen_string_literal: true

module Hobrin
  module Statistics
    module Pooling
      # Whether small studies show something else than large ones.
      module SmallStudyEffects
        # A straight line through points by weighted least squares, and the t test of its slope.
        module WeightedRegression
          # What is left of the spread of the effects, in parts of it, below which it is rounding.
          ROUNDING = 1e-18
          private_constant :ROUNDING

          # t, df, p :: of the slope; limit :: where the line meets 0
          class Line < Value
            attributes :t, :df, :p, :limit
          end

          class << self
            # xs, ys, weights :: Arrays of Float, as long as each other, weights above 0. Gives a Line;
            # nil for fewer than three points, and where the points do not vary: all xs alike, or all
            # points on one line.
            def call(xs, ys, weights)
              return if xs.size < 3 || alike?(xs)

              sum = weights.sum
              mean_x, mean_y = [xs, ys].map { |some| dot(weights, some) / sum }
              spread = weights.zip(xs).sum { |weight, x| weight * ((x - mean_x)**2) }
              slope = weights.zip(xs, ys).sum { |weight, x, y| weight * (x - mean_x) * (y - mean_y) } / spread
              test(xs, ys, weights, slope, mean_y - (slope * mean_x), spread)
            end

            private

            def alike?(xs)
              low, high = xs.minmax
              high - low <= 1e-12 * [low.abs, high.abs].max
            end

            def test(xs, ys, weights, slope, limit, spread)
              df = xs.size - 2
              left = xs.zip(ys, weights).sum { |x, y, weight| weight * ((y - limit - (slope * x))**2) }
              return if left <= ROUNDING * ys.zip(weights).sum { |y, weight| weight * (y**2) }

              t = slope / Math.sqrt(left / df / spread)
              Line.new(t:, df:, p: Distributions::Student.two_sided(t, df), limit:)
            end

            def dot(one, two) = one.zip(two).sum { |x, y| x * y }
          end
        end

        # Whether small studies show something else than large ones: Egger's regression of the effect
        # on its standard error, weighted by 1 / variance (Egger et al., BMJ 1997;315:629, in the form
        # of a weighted regression with a dispersion of its own).
        module Egger
          # Fewer studies tell nothing (common practice: ten).
          FEWEST = 10

          # results :: Array of Result. Gives a WeightedRegression::Line, whose limit is the effect
          # where the error is 0; nil where there is no variation to test.
          def self.call(results)
            WeightedRegression.call(results.map(&:error), results.map(&:effect), results.map(&:weight))
          end
        end

        # Whether small studies show something else than large ones, for ratios of events: Peters'
        # regression of the effect on 1 / people, weighted by 1 / (1/events + 1/non-events) over both
        # groups (Peters et al., JAMA 2006;295:676; from memory). The standard error of such a ratio
        # goes with the ratio itself, by which Egger's test finds what is not there.
        module Peters
          # results :: Array of Result with counts. Gives a WeightedRegression::Line, whose limit is
          # the effect in endlessly many people; nil where there is no variation to test.
          def self.call(results)
            people = results.map { |result| result.counts.sum.to_f }
            weights = results.map { |result| weight(*result.counts) }
            WeightedRegression.call(people.map { |count| 1 / count }, results.map(&:effect), weights)
          end

          def self.weight(a, b, c, d) = 1 / ((1.0 / (a + c)) + (1.0 / (b + d)))
          private_class_method :weight
        end
      end
    end
  end
end
