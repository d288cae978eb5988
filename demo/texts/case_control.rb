# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # People with the outcome and people without, and how many of each had had the intervention:
      # odds ratios, never risks.
      class CaseControl < Comparison
        private

        def count
          cases = @random.rand(40..320)
          controls = cases * pick([1, 2, 3])
          common = @random.rand(0.15..0.6)
          odds = common / (1 - common) * @random.rand(weighted(EFFECTS_ON_ODDS))
          @table = Statistics::TwoByTwo.new(events: cases(cases, odds / (1 + odds)), total: cases,
                                            comparison_events: cases(controls, common), comparison_total: controls)
        end

        EFFECTS_ON_ODDS = { (0.4..0.85) => 55, (0.92..1.08) => 25, (1.15..2.2) => 20 }.freeze
        private_constant :EFFECTS_ON_ODDS

        def results
          "#{share(@table.events, @table.total)} of those with #{o} and " \
            "#{share(@table.comparison_events,
                     @table.comparison_total)} of those without had had #{i}; odds ratio " \
            "#{format("%.2f", ratio.estimate)}#{interval(ratio)}"
        end

        # Woolf's interval on the log scale.
        def ratio
          a, b, c, d = @table.cells.map(&:to_f)
          @ratio ||= on_log_scale((a * d) / (b * c), (1 / a) + (1 / b) + (1 / c) + (1 / d))
        end

        def conclusion = phrase("conclusion_odds", direction)
        def aside = ""
      end
    end
  end
end
