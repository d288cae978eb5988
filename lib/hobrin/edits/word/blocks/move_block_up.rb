# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Moves a block one place up in the cascade, among those that are joined as it is.
      class MoveBlockUp < BlockEdit
        attributes :block, :step

        def about(inquiry) = inquiry.order

        def call(inquiry, _surroundings)
          letter = element(inquiry).letter
          Change.new(inquiry: inquiry.with_block_up(block), kind: :block_moved, facts: { letter: })
        end
      end
    end
  end
end
