# frozen_string_literal: true

module Hobrin
  module Statistics
    # An effect as a paper prints it, with its interval, its standard error or its p-value.
    module ReadyMade
      class << self
        # value :: Float, above 0 for a ratio; ratio :: whether it is one, so that all is told on the
        #   log scale; low, high :: of its interval; level :: of that
        # Gives a Result.
        def from_interval(value, low, high, ratio:, level: 0.95)
          value, low, high = [value, low, high].map { |number| Math.log(number) } if ratio
          error = (high - low) / (2 * Normal.quantile((1 + level) / 2))
          Result.new(effect: value, variance: error**2)
        end

        # error :: of the value, of its logarithm for a ratio
        def from_error(value, error, ratio:)
          Result.new(effect: ratio ? Math.log(value) : value, variance: error.to_f**2)
        end

        # p :: two-sided, of a test by the normal distribution (common practice: so it is when a
        #   paper does not say). The value must differ from no effect.
        def from_p(value, p, ratio:)
          effect = ratio ? Math.log(value) : value.to_f
          Result.new(effect:, variance: (effect / Normal.quantile(1 - (p / 2.0)))**2)
        end
      end
    end
  end
end
