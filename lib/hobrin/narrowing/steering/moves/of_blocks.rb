# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # A block left out of the join or no longer taken away, or one that waits put into the join.
      class OfBlocks
        # letters :: Hash of a block's key to how it is named
        def initialize(state, letters)
          @state = state
          @letters = letters
        end

        # Gives an Array of Move.
        def call
          [*@state.blocks.map { |block| out(:block_off, block, blocks: @state.blocks - [block]) },
           *@state.excluded.map { |one| out(:excluded_off, one, excluded: @state.excluded - [one]) },
           *@state.waiting.map { |block| into(block) }]
        end

        private

        def facts(block) = { block: block.key, letter: @letters[block.key] }

        def out(kind, block, **left)
          state = @state.with(**left, waiting: [*@state.waiting, block])
          Move.new(direction: :widen, kind:, facts: facts(block), state:)
        end

        def into(block)
          Move.new(direction: :narrow, kind: :block_on, facts: facts(block),
                   state: @state.with(blocks: [*@state.blocks, block], waiting: @state.waiting - [block]))
        end
      end
    end
  end
end
