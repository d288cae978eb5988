# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Joins a block in another way, or leaves it out.
      #
      # operator :: one of Strategy::Block::OPERATORS
      class JoinBlock < BlockEdit
        attributes :block, :operator, :step

        def about(inquiry) = inquiry.block(block).operator

        def call(inquiry, _surroundings)
          element = element(inquiry)
          changed = inquiry.block(block).with_operator(operator)
          Change.new(inquiry: inquiry.with_block(changed), kind: :block_joined,
                     facts: { letter: element.letter, operator: changed.operator.to_s })
        end
      end
    end
  end
end
