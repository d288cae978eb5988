# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Says how the results of an outcome are put together.
      #
      # way :: Appraisal::Outcome::Way
      class PutTogether < OutcomeEdit
        attributes :outcome_id, :way

        # Raises InputError for a measure that the outcome does not have.
        def call(inquiry, _surroundings)
          old = outcome(inquiry)
          raise InputError, { measure: "Choose a measure." } unless old.sort.measures.include?(way.measure)

          changed = old.with(way:)
          Change.new(inquiry: put(inquiry, changed), kind: :put_together,
                     facts: { name: old.name, measure: changed.measure.name, model: Appraisal::Outcome::Way::MODELS.fetch(way.model),
                              level: way.level })
        end
      end
    end
  end
end
