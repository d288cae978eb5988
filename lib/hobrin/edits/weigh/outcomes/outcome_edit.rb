# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # What all edits of one outcome have in common. A subclass has the attribute outcome_id.
      class OutcomeEdit < Edit
        STEP = :weigh

        def about(inquiry) = inquiry.weighing.outcome(outcome_id)

        private

        # Raises GoneError for one that is there no more.
        def outcome(inquiry) = inquiry.weighing.outcome(outcome_id) || raise(GoneError, "outcome")
        def put(inquiry, outcome) = inquiry.with(weighing: inquiry.weighing.with_outcome(outcome))
      end
    end
  end
end
