# frozen_string_literal: true

module Hobrin
  module Edits
    # Everything that can be done to a block: how it combines with the others, and its place among
    # them.
    module Blocks
      # What all edits of how a block stands to the others have in common.
      #
      # block :: key of the block; step :: where the person is, :word or :narrow
      class BlockEdit < Edit
        private

        # The Element of the block. Raises GoneError when it is not searched.
        def element(inquiry)
          inquiry.question.searched.find { |element| element.key == block } || raise(GoneError, "block")
        end
      end

      # Joins a block in another way, or leaves it out.
      #
      # operator :: one of Strategy::Block::OPERATORS
      class Join < BlockEdit
        attributes :block, :operator, :step

        def about(inquiry) = inquiry.block(block).operator

        def call(inquiry, _surroundings)
          element = element(inquiry)
          changed = inquiry.block(block).with_operator(operator)
          Change.new(inquiry: inquiry.with_block(changed), kind: :block_joined,
                     facts: { letter: element.letter, operator: changed.operator.to_s })
        end
      end

      # Moves a block one place up in the cascade, among those that are joined as it is.
      class MoveUp < BlockEdit
        attributes :block, :step

        def about(inquiry) = inquiry.order

        def call(inquiry, _surroundings)
          letter = element(inquiry).letter
          Change.new(inquiry: inquiry.with_block_up(block), kind: :block_moved, facts: { letter: })
        end
      end

      # Leaves a block out, or takes it in again as it stood before.
      class Switch < BlockEdit
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
