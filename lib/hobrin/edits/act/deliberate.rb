# frozen_string_literal: true

module Hobrin
  module Edits
    module Act
      # Writes what speaks for and against a change, and what is decided.
      #
      # considerations :: Hash of a key of Brief::Consideration::ALL to Brief::Consideration;
      #   decision :: key
      #   of Brief::Consideration::DECISIONS, "" for none
      class Deliberate < Edit
        STEP = :act
        attributes :considerations, :decision

        def about(inquiry) = inquiry.acting.with(measures: [], signed: [])

        # Raises InputError.
        def call(inquiry, _surroundings)
          acting = inquiry.acting.with(considerations:, decision:)
          changed = decision != inquiry.acting.decision && !decision.empty?
          facts = changed ? { decision: Brief::Consideration::DECISIONS.fetch(decision) } : {}
          Change.new(inquiry: inquiry.with(acting:), kind: changed ? :decided : :deliberated, facts:)
        end
      end
    end
  end
end
