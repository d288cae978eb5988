# frozen_string_literal: true

module Hobrin
  module Edits
    module Act
      # Saves the conclusion and the change plan.
      #
      # plan :: Hash of names of Brief::ChangePlan::PROMPTS to texts
      class WriteBrief < Edit
        STEP = :act
        attributes :conclusion, :plan

        def about(inquiry)
          [inquiry.conclusion, inquiry.plan.to_h.slice(*Brief::ChangePlan::PROMPTS.keys)]
        end

        def call(inquiry, _surroundings)
          plan = inquiry.plan.with(**self.plan)
          Change.new(inquiry: inquiry.with(conclusion: Question.tidy(conclusion), plan:),
                     kind: :brief_written)
        end
      end
    end
  end
end
