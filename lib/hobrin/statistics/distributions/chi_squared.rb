# frozen_string_literal: true

module Hobrin
  module Statistics
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
  end
end
