# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Systematic reviews, about half of them with a meta-analysis, whose conclusion follows from
      # it.
      class Review < Maker
        EFFECTS = [0.55..0.85, 0.75..0.95, 0.95..1.05, 1.05..1.4].freeze
        private_constant :EFFECTS

        def initialize(...)
          super
          @pooled = chance(0.5)
          @variant = :pooled if @pooled
        end

        private

        def types = @pooled ? ["systematic review", "meta-analysis"] : ["systematic review"]

        def abstract
          studies = @random.rand(4..31)
          parts(background: "Studies of #{i} for #{o} disagree.",
                methods: phrase("methods", @design, n: @random.rand(3..9)),
                results: "#{studies} studies were included, #{@random.rand(1..studies)} of them randomized#{pooled}.",
                conclusion:)
        end

        def conclusion
          return phrase("not_pooled") unless @pooled

          phrase("pooled", Appraisal::Effect::Direction.of_ratio(printed(@ratio)),
                 c: pick(["moderate", "low", "very low"]))
        end

        def pooled
          return "" unless @pooled

          total, others = Array.new(2) { @random.rand(300..2400) }
          common = @random.rand(0.08..0.4)
          table = Statistics::TwoByTwo.new(events: (total * common * @random.rand(pick(EFFECTS))).round, total:,
                                           comparison_events: (others * common).round, comparison_total: others)
          @ratio = Statistics::TwoByTwo::RiskRatio.call(table)
          " with #{total + others} people. #{share(table.events, total)} #{event} with #{i} and " \
            "#{share(table.comparison_events,
                     others)} without; risk ratio #{format("%.2f",
                                                           @ratio.estimate)}#{interval(@ratio)}"
        end
      end
    end
  end
end
