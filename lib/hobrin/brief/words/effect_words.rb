# frozen_string_literal: true

module Hobrin
  class Brief
    # What four numbers come to, in words and figures.
    class EffectWords
      include Text::Numerals

      # effect :: Appraisal::Effect
      def initialize(effect)
        @effect = effect
      end

      # "112/571 · 163/577"
      def counted
        table = @effect.table
        "#{table.events}/#{table.total} · #{table.comparison_events}/#{table.comparison_total}"
      end

      def risks
        "#{points(@effect.table.risk)} % against #{points(@effect.table.comparison_risk)} %"
      end

      # The figure, nil where it cannot be told; its interval; and whether ½ was added to each
      # cell, nil where it was not.
      def ratio = @effect.ratio && ratio_in_words(@effect.ratio.estimate)
      def ratio_interval = between(@effect.ratio) { |one| ratio_in_words(one) }
      def corrected = ("½ added to each cell" if Statistics::RiskRatio.corrected?(@effect.table))

      def difference = points(@effect.difference.estimate)
      def difference_interval = between(@effect.difference) { |one| points(one) }

      # The number needed to treat, "none" where the risks are equal.
      def needed = same_risks? ? "none" : decimal(@effect.needed.estimate, 1)

      # "for one fewer; 95 % 5.2 to 33.4", and both sides where no difference lies between them.
      def needed_words
        fewer, more = @effect.needed.fewer ? %w[fewer more] : %w[more fewer]
        low, high, other = [@effect.needed.low, @effect.needed.high,
                            @effect.needed.other].map { |one| one && decimal(one, 1) }
        return "for one #{fewer}; 95 % #{low} to #{high}" unless other
        return "the risks are equal; 95 % #{low} for one more to ∞, and on to #{other} for one fewer" if same_risks?

        "for one #{fewer}; 95 % #{low} to ∞, and on to #{other} for one #{more}"
      end

      private

      def same_risks? = @effect.needed.fewer.nil?
      def between(interval) = "#{yield(interval.low)} to #{yield(interval.high)}"
    end
  end
end
