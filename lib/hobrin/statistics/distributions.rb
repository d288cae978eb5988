# frozen_string_literal: true

module Hobrin
  module Statistics
    # The distributions that intervals and tests need.
    module Distributions
      # The standard normal distribution, as far as the intervals need it.
      module Normal
        # The 97.5 % point, for two-sided 95 % intervals.
        Z95 = 1.959963984540054

        # The chance of a value further from 0, on either side.
        def self.two_sided(value) = Math.erfc(value.abs / Math.sqrt(2))

        # The value below which a share of it lies. share :: above 0, below 1
        def self.quantile(share)
          Root.between(-40.0, 40.0) { |value| (Math.erfc(-value / Math.sqrt(2)) / 2) - share }
        end
      end

      # The chi-squared distribution.
      module ChiSquared
        class << self
          # The chance of more than a value. df :: degrees of freedom, from 1
          def above(value, df) = 1 - Special.gamma_below(df / 2.0, value / 2.0)
          def below(value, df) = Special.gamma_below(df / 2.0, value / 2.0)

          # The value below which a share of it lies. share :: above 0, below 1
          def quantile(share, df)
            Root.between(0.0, df + (40 * Math.sqrt(2.0 * df)) + 40) { |value| below(value, df) - share }
          end
        end
      end

      # Student's t distribution.
      module Student
        class << self
          # The chance of a value further from 0, on either side. df :: degrees of freedom, above 0
          def two_sided(value, df) = Special.beta_below(df / 2.0, 0.5, df / (df + (value * value)))

          def below(value, df)
            half = two_sided(value, df) / 2
            value.negative? ? half : 1 - half
          end

          # The value below which a share of it lies. share :: from 0.5, below 1
          def quantile(share, df)
            most = 10.0
            most *= 10 while below(most, df) < share
            Root.between(0.0, most) { |value| below(value, df) - share }
          end
        end
      end

      # The regularized incomplete gamma and beta functions, by which the distributions are told:
      # series and continued fractions of the textbooks (Abramowitz and Stegun 1964, 6.5.29, 6.5.31,
      # 26.5.8; from memory), in Lentz's way.
      module Special
        STEPS = 10_000
        CLOSE = 1e-15
        TINY = 1e-300
        private_constant :STEPS, :CLOSE, :TINY

        class << self
          # P(a, x): a > 0, x ≥ 0. Gives 0 to 1.
          def gamma_below(a, x)
            return 0.0 if x <= 0
            return 1.0 if x.infinite?

            x < a + 1 ? gamma_series(a, x) : 1 - gamma_fraction(a, x)
          end

          # I_x(a, b): a, b > 0, x from 0 to 1. Gives 0 to 1.
          def beta_below(a, b, x)
            return 0.0 if x <= 0
            return 1.0 if x >= 1

            front = Math.exp(log_gamma(a + b) - log_gamma(a) - log_gamma(b) + (a * Math.log(x)) + (b * Math.log(1 - x)))
            x < (a + 1) / (a + b + 2) ? front * beta_fraction(a, b, x) / a : 1 - (front * beta_fraction(b, a, 1 - x) / b)
          end

          def log_gamma(value) = Math.lgamma(value).first

          private

          def gamma_front(a, x) = Math.exp((a * Math.log(x)) - x - log_gamma(a))

          def gamma_series(a, x)
            term = sum = 1 / a
            (1..STEPS).each do |step|
              term *= x / (a + step)
              sum += term
              break if term < sum * CLOSE
            end
            sum * gamma_front(a, x)
          end

          def gamma_fraction(a, x)
            b = x + 1 - a
            lentz(b) { |step| [-step * (step - a), b + (2 * step)] }.then { |value| gamma_front(a, x) / value }
          end

          def beta_fraction(a, b, x)
            1 / lentz(1.0) do |step|
              half, odd = step.divmod(2)
              top = if odd.zero? then half * (b - half) * x / ((a + (2 * half) - 1) * (a + (2 * half)))
                    else -(a + half) * (a + b + half) * x / ((a + (2 * half)) * (a + (2 * half) + 1))
                    end
              [top, 1.0]
            end
          end

          # b0 + a1 / (b1 + a2 / (b2 + …)); the block gives [a, b] of a step.
          def lentz(first)
            value = upper = first.zero? ? TINY : first
            lower = 0.0
            (1..STEPS).each do |step|
              top, bottom = yield(step)
              lower = 1 / nonzero(bottom + (top * lower))
              upper = nonzero(bottom + (top / upper))
              change = upper * lower
              value *= change
              break if (change - 1).abs < CLOSE
            end
            value
          end

          def nonzero(value) = value.abs < TINY ? TINY : value
        end
      end

      # Where a function that grows (or falls) passes through 0: bisection with a secant where that is
      # nearer (Illinois method; from memory).
      module Root
        STEPS = 300
        CLOSE = 1e-14
        private_constant :STEPS, :CLOSE

        # The block gives a Float of a Float; its signs at the two ends differ, or the end that is
        # nearer to 0 is given.
        def self.between(low, high)
          here, there = [[low, yield(low)], [high, yield(high)]]
          return [here, there].min_by { |_, value| value.abs }.first if same_side?(here, there)

          STEPS.times do
            Deadline.check
            at = step(here, there)
            middle = [at, yield(at)]
            return at if middle.last.zero? || near?(here.first, there.first)

            here = same_side?(middle, there) ? [here.first, here.last / 2] : there
            there = middle
          end
          there.first
        end

        # Where the secant meets 0, or the middle where it leads astray.
        def self.step(here, there)
          (low, at_low), (high, at_high) = [here, there]
          at = high - (at_high * (high - low) / (at_high - at_low))
          at.finite? && at.between?(*[low, high].minmax) ? at : (low + high) / 2
        end

        def self.same_side?(one, two) = one.last.positive? == two.last.positive? && !one.last.zero? && !two.last.zero?
        def self.near?(one, two) = (one - two).abs <= CLOSE * [one.abs, two.abs].max
        private_class_method :step, :same_side?, :near?
      end
    end
  end
end
