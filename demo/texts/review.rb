# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Systematic reviews, about half of them with a meta-analysis.
      class Review < Maker
        def initialize(...)
          super
          @pooled = chance(0.5)
        end

        private

        def types = @pooled ? ["systematic review", "meta-analysis"] : ["systematic review"]
        def title = phrase("title", @pooled ? "pooled" : "review")

        def abstract
          studies = @random.rand(4..31)
          parts(background: "Studies of #{i} for #{o} disagree.",
                methods: phrase("methods", @design, n: @random.rand(3..9)),
                results: "#{studies} studies were included, #{@random.rand(1..studies)} of them randomized#{pooled}.",
                conclusion: phrase("certainty"))
        end

        def pooled
          return "" unless @pooled

          total, others = Array.new(2) { @random.rand(300..2400) }
          common = @random.rand(0.08..0.4)
          events = (total * common * @random.rand(0.6..1.05)).round
          " with #{total + others} people. #{share(events, total)} #{@event} with #{i} and " \
            "#{share((others * common).round, others)} without"
        end
      end
    end
  end
end
