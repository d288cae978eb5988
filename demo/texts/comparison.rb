# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Two groups compared: trials, cohorts, before and after, and what they cost.
      class Comparison < Maker
        # Some trials are called randomized though their methods say otherwise.
        MISLABELLED = 0.05
        GROUPS = { cohort: %w[with without], before_after: %w[after before],
                   controlled: %w[with without] }.freeze
        private_constant :MISLABELLED, :GROUPS

        private

        def abstract
          @table = table
          methods = phrase("methods",
                           @design == :trial && chance(MISLABELLED) ? :mislabelled : @design)
          parts(background: phrase("background"), methods:, results:,
                conclusion: phrase(better? ? "better" : "no_better"))
        end

        def table
          total, comparison_total = Array.new(2) { @random.rand(28..240) }
          common = @random.rand(0.08..0.55)
          Statistics::TwoByTwo.new(events: [(total * common * @random.rand(0.45..1.15)).round, 1].max, total:,
                                   comparison_events: [(comparison_total * common).round, 1].max, comparison_total:)
        end

        def results
          one, two = GROUPS.fetch(@design, ["with #{i}", "with usual care"])
          people = chance(0.5) ? "#{@table.total + @table.comparison_total} people took part. " : ""
          "#{people}#{share(@table.events, @table.total)} #{@event} #{one} and " \
            "#{share(@table.comparison_events, @table.comparison_total)} #{two}#{effect}.#{money}"
        end

        # The risk ratio as the core works it out from these very numbers.
        def effect
          return "" if chance(0.35)

          format("; risk ratio %<estimate>.2f, 95%% CI %<low>.2f to %<high>.2f", **Statistics::RiskRatio.call(@table).to_h)
        end

        def money
          return "" unless @design == :cost

          each = @random.rand(4..60)
          " #{capital(i)} cost #{each} a person, #{each * @table.total} for all #{@table.total}."
        end

        def better? = @table.risk < @table.comparison_risk * 0.85
      end
    end
  end
end
