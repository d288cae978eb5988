# frozen_string_literal: true

module Hobrin
  module Statistics
    # What a result of a test means where a share of people has the condition: Bayes' rule, as whole
    # people out of many.
    #
    # people :: Integer; ill, well :: of them; found, missed :: of the ill, with a positive and a
    #   negative test; alarmed, cleared :: of the well
    class PredictiveValues < Value
      attributes :people, :ill, :well, :found, :missed, :alarmed, :cleared

      class << self
        # sensitivity, specificity, prevalence :: 0 to 1; people :: how many in all
        def of(sensitivity:, specificity:, prevalence:, people: 1000)
          ill = (people * prevalence).round
          found = (ill * sensitivity).round
          cleared = ((people - ill) * specificity).round
          new(people:, ill:, well: people - ill, found:, missed: ill - found,
              alarmed: people - ill - cleared, cleared:)
        end

        # The chance of the condition after a positive test, not rounded; nil where no test is
        # positive.
        def positive(sensitivity, specificity, prevalence)
          share(sensitivity * prevalence, (1 - specificity) * (1 - prevalence))
        end

        # The chance that it is not there after a negative test.
        def negative(sensitivity, specificity, prevalence)
          share(specificity * (1 - prevalence), (1 - sensitivity) * prevalence)
        end

        private

        def share(right, wrong) = (right + wrong).zero? ? nil : right / (right + wrong).to_f
      end
    end
  end
end
