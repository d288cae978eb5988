# frozen_string_literal: true

module Hobrin
  module Statistics
    # Pools effects by how exact each is: with one effect for all (fixed), or effects that vary from
    # study to study (random), there also with the wider interval of Hartung and Knapp (2001; from
    # memory), and with where the effect of a new study may lie.
    module InverseVariance
      class << self
        # results :: Array of Result, one or more; tau2 :: nil for a fixed effect, else key of
        #   Tau2::METHODS
        # hartung_knapp :: whether the interval is theirs: true, or :never_narrower for one that is
        #   not narrower than without them, which theirs can be where studies are alike by chance
        #   (Knapp and Hartung 2003, from memory); level :: of the intervals
        # near :: a τ² that is not far, from which steps begin; see Tau2
        # Gives a Pooled.
        def call(results, tau2: nil, hartung_knapp: false, level: 0.95, near: nil)
          raise ArgumentError, "nothing to pool" if results.empty?

          between, converged = tau2 ? Tau2.new(results, tau2, near:).call : [0.0, true]
          weights = results.map { |one| 1 / (one.variance + between) }
          mean = results.zip(weights).sum { |one, weight| one.effect * weight } / weights.sum
          knapp = hartung_knapp && results.size > 1
          plain = Math.sqrt(1 / weights.sum)
          error = knapp ? knapp_error(results, weights, mean) : plain
          error = [error, plain].max if hartung_knapp == :never_narrower
          df = results.size - 1 if knapp
          Pooled.new(estimate: mean, error:, **tested(mean, error, df, level), weights: shares(weights),
                     **spread(results, between, tau2), converged:,
                     prediction: tau2 && predicted(mean, error, between, df, level))
        end

        private

        def knapp_error(results, weights, mean)
          squares = results.zip(weights).sum { |one, weight| weight * ((one.effect - mean)**2) }
          Math.sqrt(squares / ((results.size - 1) * weights.sum))
        end

        def tested(mean, error, df, level)
          statistic = mean / error
          reach = quantile(df, level) * error
          { statistic:, df:, p: df ? Student.two_sided(statistic, df) : Normal.two_sided(statistic),
            low: mean - reach, high: mean + reach }
        end

        def quantile(df, level)
          share = (1 + level) / 2
          df ? Student.quantile(share, df) : Normal.quantile(share)
        end

        def predicted(mean, error, between, df, level)
          reach = quantile(df, level) * Math.sqrt((error**2) + between)
          [mean - reach, mean + reach]
        end

        def spread(results, between, random)
          heterogeneity = Heterogeneity.new(results)
          q = heterogeneity.q
          fixed = heterogeneity.df.zero? ? 0.0 : Heterogeneity.beyond_chance(q, heterogeneity.df)
          { tau2: between, q:, q_df: heterogeneity.df, q_p: heterogeneity.p,
            i2: random ? heterogeneity.i2(between) : fixed }
        end

        def shares(weights) = weights.map { |weight| weight / weights.sum }
      end
    end
  end
end
