# frozen_string_literal: true

module Hobrin
  module Services
    # Saves the conclusion and the change plan.
    class WriteBrief
      def initialize(context, seen: nil)
        @change = ChangeInquiry.new(context, seen:)
      end

      # plan :: Brief::ChangePlan
      def call(id, conclusion:, plan:)
        @change.call(id, step: :act, part: ->(inquiry) { [inquiry.conclusion, inquiry.plan] }) do |inquiry|
          [inquiry.with(conclusion: Question.tidy(conclusion), plan:), "Wrote the conclusion and the change plan"]
        end
      end
    end
  end
end
