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
          [*@state.blocks.map { |block| out(block, "without #{name(block)}", blocks: @state.blocks - [block]) },
           *@state.taken.map { |one| out(one, "without taking #{name(one)} away", taken: @state.taken - [one]) },
           *@state.waiting.map { |block| into(block) }]
        end

        private

        def name(block) = @letters[block.key]

        def out(block, wording, **left)
          Move.new(direction: :widen, kind: :block_off, wording:,
                   state: @state.with(**left, waiting: [*@state.waiting, block]))
        end

        def into(block)
          Move.new(direction: :narrow, kind: :block_on, wording: "with #{name(block)} as well",
                   state: @state.with(blocks: [*@state.blocks, block], waiting: @state.waiting - [block]))
        end
      end
    end
  end
end
