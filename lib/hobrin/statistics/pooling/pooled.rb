# frozen_string_literal: true

module Hobrin
  module Statistics
    # What several studies say together, on the scale of their effects.
    #
    # estimate, error, low, high :: the pooled effect, its standard error and interval
    # statistic, p :: of the test that there is no effect; df :: of Student's t, nil for the normal
    # weights :: Array of shares of 1, one for each study
    # tau2 :: variance between studies, 0.0 for a fixed effect; q, q_df, q_p :: Cochran's
    # i2 :: 0 to 1; prediction :: [low, high] of the effect in a new study, nil for a fixed effect
    #   and for fewer than three studies
    class Pooled < Value
      attributes :estimate, :error, :low, :high, :statistic, :p, :df, :weights, :tau2, :q, :q_df, :q_p,
                 :i2, :prediction
    end
  end
end
