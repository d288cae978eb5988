# frozen_string_literal: true

module Hobrin
  module Edits
    module Act
      # Writes what a change needs, its steps, and its small cycles.
      #
      # needs :: Hash of names of Brief::ChangePlan::MORE to texts; steps :: Array of Brief::Step;
      #   cycles :: Array of Brief::Cycle
      class PlanSteps < Edit
        STEP = :act
        attributes :needs, :steps, :cycles

        def about(inquiry)
          [inquiry.plan.to_h.slice(*Brief::ChangePlan::MORE.keys), inquiry.acting.steps,
           inquiry.acting.cycles]
        end

        # Raises InputError.
        def call(inquiry, _surroundings)
          errors = {}
          errors[:steps] = "Keep it to #{Brief::Step::MOST} steps." if steps.size > Brief::Step::MOST
          errors[:cycles] = "Keep it to #{Brief::Cycle::MOST} cycles." if cycles.size > Brief::Cycle::MOST
          raise InputError, errors unless errors.empty?

          acting = inquiry.acting.with(steps:, cycles:)
          facts = { steps: steps.size, done: steps.count(&:done), cycles: cycles.size }
          Change.new(inquiry: inquiry.with(plan: inquiry.plan.with(**needs), acting:),
                     kind: :steps_planned, facts:)
        end
      end
    end
  end
end
