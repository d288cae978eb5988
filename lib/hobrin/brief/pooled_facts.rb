# frozen_string_literal: true

module Hobrin
  class Brief
    # What a pooled value rests on, in sentences: model, interval, heterogeneity, and what it would
    # be without a paper.
    class PooledFacts
      include Text::Numerals

      # pool :: Appraisal::Synthesis::Pool whose results are pooled
      def initialize(pool)
        @pool = pool
        @told = Words::OfResult.new(pool.measure)
        @pooled = pool.pooled
      end

      def call = [how, scale, heterogeneity, predicted, without_each, corrected].compact

      private

      def how
        key = if no_counts? then "how_without_counts"
              elsif @pooled.df then "how_knapp"
              else "how"
              end
        Book.t("brief.pooled.#{key}", model: capital(Appraisal::Outcome::Way::MODELS.fetch(@pool.way.model)))
      end

      def no_counts?
        @pool.way.model == :mantel_haenszel && !Appraisal::Synthesis::Pooling.by_counts?(
          @pool.studies, @pool.way
        )
      end

      def scale
        scale = @pool.measure.scale
        Book.t("brief.pooled.scale.#{scale}") if %i[log logit].include?(scale)
      end

      # "I² = 0 % (95 % CI 0 to 14 %); Q = 0.26, df = 3, p = 0.97"
      def heterogeneity
        low, high = @pool.spread.i2_interval
        facts = { i2: hundredths(@pooled.i2), low: hundredths(low), high: hundredths(high), q: decimal(@pooled.q),
                  df: @pooled.q_df, p: @told.p(@pooled.q_p) }
        return Book.t("brief.pooled.heterogeneity", **facts) unless @pool.way.random?

        Book.t("brief.pooled.heterogeneity_random", **facts, tau2: decimal(@pooled.tau2, 3))
      end

      def predicted
        return if @pooled.tau2.zero?
        return Book.t("brief.pooled.prediction_too_few") if @pool.way.random? && @pool.studies.size == 2

        low, high = @pooled.prediction
        return unless low

        Book.t("brief.pooled.prediction", range: @told.range(low, high), unit: @told.unit)
      end

      def without_each
        all = @pool.without_each.map(&:estimate).minmax
        Book.t("brief.pooled.leave_one_out", range: @told.range(*all), unit: @told.unit) if all.first
      end

      def corrected
        empty = @pool.studies.count { |study| study.reported.table&.cells&.any?(&:zero?) }
        return if empty.zero? || %i[mantel_haenszel].include?(@pool.way.model) || @pool.measure.key == :peto_odds_ratio

        Book.t("brief.pooled.corrected", count: empty)
      end
    end
  end
end
