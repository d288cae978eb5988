# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Takes an outcome away, with what papers gave for it.
      class DropOutcome < OutcomeEdit
        attributes :outcome_id

        def about(inquiry) = [super, inquiry.weighing.results(outcome_id)]

        def call(inquiry, _surroundings)
          name = outcome(inquiry).name
          weighing = inquiry.weighing.without_outcome(outcome_id)
          Change.new(inquiry: inquiry.with(weighing:), kind: :outcome_dropped,
                     facts: { name: })
        end
      end
    end
  end
end
