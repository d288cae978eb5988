# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Leaves a block out, or takes it in again as it stood before.
      class SwitchBlock < BlockEdit
        attributes :block, :step

        def about(inquiry) = inquiry.block(block).operator

        def call(inquiry, _surroundings)
          element = element(inquiry)
          changed = inquiry.block(block).switched
          Change.new(inquiry: inquiry.with_block(changed), kind: :block_joined,
                     facts: { letter: element.letter, operator: changed.operator.to_s })
        end
      end
    end
  end
end
