# frozen_string_literal: true

module Hobrin
  module Services
    # Saves the conclusion and the change plan.
    class WriteBrief
      def initialize(context)
        @change = ChangeInquiry.new(context)
      end

      # plan :: Brief::ChangePlan
      def call(id, conclusion:, plan:, version: nil)
        @change.call(id, step: :act, version:) do |inquiry|
          [inquiry.with(conclusion: Question.tidy(conclusion), plan:), "Wrote the conclusion and the change plan"]
        end
      end
    end
  end
end
