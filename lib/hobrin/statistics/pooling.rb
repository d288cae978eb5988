# frozen_string_literal: true

module Hobrin
  module Statistics
    # Puts the effects of several studies together.
    module Pooling
      # One study's effect as it goes into pooling: on the scale on which it is nearly normal.
      #
      # effect :: Float; variance :: Float above 0; counts :: Array of the numbers that the methods by
      #   Mantel and Haenszel, and by Peto, start from (a, b, c, d: with and without the outcome, first
      #   in the group with the intervention), or nil
      class Result < Value
        attributes :effect, :variance, :counts

        def initialize(effect:, variance:, counts: nil)
          raise ArgumentError, "an effect is a number, its variance above 0" unless effect.finite? && variance.finite? && variance.positive?

          super
        end

        def error = Math.sqrt(variance)
        def weight = 1 / variance
      end

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
            { statistic:, df:, p: df ? Distributions::Student.two_sided(statistic, df) : Distributions::Normal.two_sided(statistic),
              low: mean - reach, high: mean + reach }
          end

          def quantile(df, level)
            share = (1 + level) / 2
            df ? Distributions::Student.quantile(share, df) : Distributions::Normal.quantile(share)
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

      # How much the studies differ beyond chance: Cochran's Q, and the generalized Q for any variance
      # between studies, by which intervals of τ² and I² are found (Viechtbauer, Stat Med 2007;26:37,
      # from memory; as R's metafor does).
      class Heterogeneity
        # results :: Array of Result
        def initialize(results)
          @results = results
        end

        def df = @results.size - 1
        def q(tau2 = 0.0) = weighted_squares(tau2)
        def p = df.zero? ? 1.0 : Distributions::ChiSquared.above(q, df)

        # The variance within studies that stands for all of them (Higgins and Thompson 2002).
        def typical
          weights = @results.map(&:weight)
          sum = weights.sum
          df / (sum - (weights.sum { |weight| weight**2 } / sum))
        end

        # The share of the variance that lies between studies, 0 to 1, for a τ².
        def i2(tau2) = df.zero? ? 0.0 : tau2 / (tau2 + typical)

        # The share of a Q that is more than chance makes it, 0 to 1 (Higgins and Thompson 2002).
        def self.beyond_chance(q, df) = q.zero? ? 0.0 : [(q - df) / q, 0.0].max

        # [low, high] of τ², by where the generalized Q meets the chi-squared distribution; nil for a
        # single study. level :: of the interval
        def tau2_interval(level: 0.95)
          return if df.zero?

          [1 + level, 1 - level].map { |share| where(Distributions::ChiSquared.quantile(share / 2, df)) }
        end

        def i2_interval(level: 0.95) = tau2_interval(level:)&.map { |tau2| i2(tau2) }

        private

        # τ² at which the generalized Q, which falls as τ² grows, is a value; 0 when it never is as
        # high.
        def where(value)
          return 0.0 if q <= value

          most = [typical, @results.sum(&:variance)].max
          most *= 4 while q(most) > value
          Distributions::Root.between(0.0, most) { |tau2| q(tau2) - value }
        end

        def weighted_squares(tau2)
          weights = @results.map { |result| 1 / (result.variance + tau2) }
          mean = @results.zip(weights).sum { |one, weight| one.effect * weight } / weights.sum
          @results.zip(weights).sum { |one, weight| weight * ((one.effect - mean)**2) }
        end
      end
    end
  end
end
