# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Puts a limit on: at its own place when it is there already, else last.
      #
      # leaf :: what an AppliedLimit holds
      class PutLimit < Edit
        STEP = :narrow
        attributes :leaf

        def about(inquiry) = inquiry.limit(leaf.slot)

        def call(inquiry, _surroundings)
          Change.new(inquiry: inquiry.with_limit(leaf), kind: :limit_put, facts: { leaf: })
        end
      end
    end
  end
end
