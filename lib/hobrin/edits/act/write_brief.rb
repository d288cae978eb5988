# frozen_string_literal: true

module Hobrin
  module Edits
    module Act
      # Saves the conclusion and the change plan.
      #
      # plan :: Brief::ChangePlan
      class WriteBrief < Edit
        STEP = :act
        attributes :conclusion, :plan

        def about(inquiry) = [inquiry.conclusion, inquiry.plan]

        def call(inquiry, _surroundings)
          Change.new(inquiry: inquiry.with(conclusion: Question.tidy(conclusion), plan:),
                     kind: :brief_written)
        end
      end
    end
  end
end
