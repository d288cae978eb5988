# frozen_string_literal: true

module Hobrin
  module Statistics
    # Pools effects by how exact each is: with one effect for all (fixed), or effects that vary from
    # study to study (random), there also with the wider interval of Hartung and Knapp (2001; from
    # memory), and with where the effect of a new study may lie.
    module InverseVariance
      FEWEST_FOR_PREDICTION = 3

      class << self
        # results :: Array of Result, one or more; tau2 :: nil for a fixed effect, else key of Tau2::METHODS
        # hartung_knapp :: whether the interval is theirs: true, or :never_narrower for one that is
        #   not narrower than without them, which theirs can be where studies are alike by chance
        #   (Knapp and Hartung 2003, from memory); level :: of the intervals
        # between :: their τ² where it is known already, or nil
        # Gives a Pooled.
        def call(results, tau2: nil, hartung_knapp: false, level: 0.95, between: nil)
          raise ArgumentError, "nothing to pool" if results.empty?

          between ||= tau2 ? Tau2.new(results, tau2).call : 0.0
          weights = results.map { |result| 1 / (result.variance + between) }
          mean = results.zip(weights).sum { |one, weight| one.effect * weight } / weights.sum
          knapp = hartung_knapp && results.size > 1
          plain = Math.sqrt(1 / weights.sum)
          error = knapp ? knapp_error(results, weights, mean) : plain
          error = [error, plain].max if hartung_knapp == :never_narrower
          df = results.size - 1 if knapp
          Pooled.new(estimate: mean, error:, **tested(mean, error, df, level), weights: shares(weights),
                     **spread(results, between, tau2),
                     prediction: tau2 && predicted(mean, error, between, results.size, level))
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

        # By Student's t of two fewer than there are studies (Higgins, Thompson and Spiegelhalter,
        # J R Stat Soc A 2009;172:137; from memory): two studies tell nothing of a third.
        def predicted(mean, error, between, size, level)
          return if size < FEWEST_FOR_PREDICTION

          reach = quantile(size - 2, level) * Math.sqrt((error**2) + between)
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
