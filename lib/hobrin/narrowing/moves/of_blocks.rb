# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # A block left out of the join, or one that waits put into it.
      class OfBlocks
        def initialize(state)
          @state = state
        end

        # Gives an Array of Move.
        def call
          out = @state.blocks.map do |block|
            [:widen, :block_off, "without #{block.key}", @state.blocks - [block], [*@state.waiting, block]]
          end
          into = @state.waiting.map do |block|
            [:narrow, :block_on, "with #{block.key} as well", [*@state.blocks, block], @state.waiting - [block]]
          end
          (out + into).map do |direction, kind, wording, blocks, waiting|
            Move.new(direction:, kind:, wording:, state: @state.with(blocks:, waiting:))
          end
        end
      end
    end
  end
end
