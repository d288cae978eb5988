# frozen_string_literal: true

module Hobrin
  module Narrowing
    # The two changes, one after the other, that bring a lost paper back with the fewest other
    # papers.
    class RecoveryPair
      # moves :: Array of two Moves::Move; size :: papers after them
      class Found < Value
        attributes :moves, :size
      end

      # How many first changes are looked on from, those that let in the fewest papers.
      WIDTH = 8
      private_constant :WIDTH

      # moves :: a Proc from a State to its Moves
      def initialize(evaluator:, moves:)
        @evaluator = evaluator
        @moves = moves
      end

      # state :: a State that lacks the paper; number :: of the paper. Gives a Found, or nil when no
      #   two changes do it.
      def call(state, number)
        firsts = nearest(state, number).first(WIDTH)
        found = firsts.flat_map { |first| seconds(first, number) }
        found.min_by(&:size)
      end

      private

      # The changes after which fewer parts keep the paper out.
      def nearest(state, number)
        now = in_the_way(state, number)
        nearer = @moves.call(state).call.select { |move| in_the_way(move.state, number) < now }
        sized(state, nearer).sort_by(&:size).map(&:move)
      end

      def seconds(first, number)
        done = @moves.call(first.state).call.select { |move| in_the_way(move.state, number).zero? }
        sized(first.state, done).map { |one| Found.new(moves: [first, one.move], size: one.size) }
      end

      def sized(state, moves) = WhatIfs.new(state, evaluator: @evaluator).call(moves)

      def in_the_way(state, number)
        state.trees.count { |tree| !@evaluator.call(tree).include?(number) } +
          state.excluded_trees.count { |tree| @evaluator.call(tree).include?(number) }
      end
    end
  end
end
