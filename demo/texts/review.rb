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

        def title
          tail = @pooled ? "a systematic review and meta-analysis" : pick(["a systematic review", "a systematic review of the evidence", "a scoping of trials and a systematic review"])
          filled("%<I>s for %<o>s in %<p>s: #{tail}")
        end

        def abstract
          studies = @random.rand(4..31)
          trials = @random.rand(1..studies)
          parts(background: filled("Studies of %<i>s for %<o>s disagree."),
                methods: "We searched #{@random.rand(3..9)} databases for studies in #{p}. Two reviewers chose studies and judged risk of bias.",
                results: "#{studies} studies were included, #{trials} of them randomized#{pooled}.",
                conclusion: filled("Certainty is #{pick(%w[very\ low low moderate])}. %<I>s #{pick(["may help", "probably helps", "cannot be judged yet"])}."))
        end

        def pooled
          return "" unless @pooled

          total, others = Array.new(2) { @random.rand(300..2400) }
          common = @random.rand(0.08..0.4)
          events, other_events = (total * common * @random.rand(0.6..1.05)).round, (others * common).round
          " with #{total + others} people. #{share(events, total)} #{@event} with #{i} and #{share(other_events, others)} without"
        end
      end
    end
  end
end
