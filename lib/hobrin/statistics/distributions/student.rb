# frozen_string_literal: true

module Hobrin
  module Statistics
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
  end
end
