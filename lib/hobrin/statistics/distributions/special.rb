# frozen_string_literal: true

module Hobrin
  module Statistics
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
  end
end
