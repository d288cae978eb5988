# frozen_string_literal: true

module Hobrin
  module Statistics
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
          Line.new(t:, df:, p: Student.two_sided(t, df), limit:)
        end

        def dot(one, two) = one.zip(two).sum { |x, y| x * y }
      end
    end
  end
end
