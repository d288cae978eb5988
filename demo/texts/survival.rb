# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # A cohort followed over time, told as a hazard ratio.
      class Survival < Comparison
        private

        # As if the hazard were the same on every day; its error by the events of both groups
        # (common practice, no source).
        def effect
          format("; hazard ratio %<estimate>.2f", estimate: ratio.estimate) + interval(ratio)
        end

        def ratio
          @ratio ||= on_log_scale(Math.log(1 - @table.risk) / Math.log(1 - @table.comparison_risk),
                                  (1.0 / @table.events) + (1.0 / @table.comparison_events))
        end
      end
    end
  end
end
