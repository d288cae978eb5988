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

      def call = [how, scale, apart, predicted, without_each, corrected].compact

      private

      def how
        words = Appraisal::Outcome::Way::MODELS.fetch(@pool.way.model)
        knapp = ", interval by Hartung and Knapp, never narrower than without" if @pooled.df
        by_hand = ", by inverse variance since not every paper gives its counts" if no_counts?
        "#{capital(words)}#{by_hand}#{knapp}."
      end

      def no_counts?
        @pool.way.model == :mantel_haenszel && !Appraisal::Synthesis::Pooling.by_counts?(
          @pool.studies, @pool.way
        )
      end

      def scale
        case @pool.measure.scale
        when :log then "Pooled on the scale of logarithms."
        when :logit then "Pooled on the scale of log odds, told as people of 100."
        end
      end

      def apart
        low, high = @pool.spread.i2_interval
        between = "; τ² #{decimal(@pooled.tau2, 3)}" if @pool.way.random?
        "They differ beyond chance by I² #{hundredths(@pooled.i2)} of 100 (#{hundredths(low)} to " \
          "#{hundredths(high)}); " \
          "Q #{decimal(@pooled.q)} on #{@pooled.q_df}, p #{@told.p(@pooled.q_p)}#{between}."
      end

      def predicted
        return if @pooled.tau2.zero?
        return "Two papers are too few to say what a new study may find." if @pool.way.random? && @pool.studies.size == 2

        low, high = @pooled.prediction
        return unless low

        "A new study may have anything from #{@told.range(low, high)}#{@told.unit}."
      end

      def without_each
        all = @pool.without_each.map(&:estimate).minmax
        "With any one of them left out it is #{@told.range(*all)}#{@told.unit}." if all.first
      end

      def corrected
        empty = @pool.studies.count { |study| study.reported.table&.cells&.any?(&:zero?) }
        return if empty.zero? || %i[mantel_haenszel].include?(@pool.way.model) || @pool.measure.key == :peto_odds_ratio

        "½ is added to each cell of #{count_of(empty, "paper")} with an empty one."
      end
    end
  end
end
