# frozen_string_literal: true

module Hobrin
  module Statistics
    # Effects of two groups measured on a scale.
    module Means
      # One group: how many, their mean and standard deviation.
      class Group < Value
        attributes :size, :mean, :deviation
      end

      class << self
        # one, two :: Groups. Gives a Result in the units of the scale.
        def difference(one, two)
          Result.new(effect: one.mean - two.mean, variance: squared_error(one) + squared_error(two))
        end

        # The difference in standard deviations, Hedges' g with the exact correction and the
        # variance 1/n1 + 1/n2 + g² / (2 (n1 + n2)) (Hedges 1981, as R's metafor by default).
        def standardized(one, two)
          df = one.size + two.size - 2
          deviation = Math.sqrt([one, two].sum { |group| (group.size - 1) * (group.deviation**2) }.fdiv(df))
          g = correction(df) * (one.mean - two.mean) / deviation
          chance = (1.0 / one.size) + (1.0 / two.size)
          Result.new(effect: g, variance: chance + (g * g / (2.0 * (df + 2))))
        end

        private

        def squared_error(group) = (group.deviation**2) / group.size.to_f

        # Γ(m/2) / (√(m/2) Γ((m − 1)/2))
        def correction(df)
          Math.exp(Special.log_gamma(df / 2.0) - Math.log(Math.sqrt(df / 2.0)) - Special.log_gamma((df - 1) / 2.0))
        end
      end
    end
  end
end
