# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # What four numbers come to, in words and figures.
      class EffectWords
        include Formatting

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
        # cell.
        def ratio = @effect.ratio && decimal(@effect.ratio.estimate)
        def ratio_interval = between(@effect.ratio) { |one| decimal(one) }

        def corrected
          Statistics::RiskRatio.corrected?(@effect.table) ? " (½ added to each cell)" : ""
        end

        def difference = points(@effect.difference.estimate)
        def difference_interval = between(@effect.difference) { |one| points(one) }

        # The number needed to treat, nil where there is no difference.
        def needed = needed? ? decimal(@effect.needed.estimate, 1) : nil

        def needed_interval
          "#{decimal(@effect.needed.low, 1)} to #{decimal(@effect.needed.high, 1)}"
        end

        # What lies beyond no difference, nil where the interval does not go there.
        def other_way
          decimal(@effect.needed.other, 1) if needed? && @effect.needed.crosses_nothing?
        end

        # "for one fewer; 95 % 5.2 to 33.4"
        def needed_words
          fewer, more = @effect.needed.fewer ? %w[fewer more] : %w[more fewer]
          low = decimal(@effect.needed.low, 1)
          return "for one #{fewer}; 95 % #{needed_interval}" unless other_way

          "for one #{fewer}; 95 % #{low} to ∞, and on to #{other_way} for one #{more}"
        end

        private

        def needed? = !@effect.needed.fewer.nil?
        def between(interval) = "#{yield(interval.low)} to #{yield(interval.high)}"
      end
    end
  end
end
