# frozen_string_literal: true

module Hobrin
  module Narrowing
    # The way to the aim: up to three changes, one after the other, that bring the count into its
    # band and lose the fewest must-find papers. Looks ahead from the few best states after each
    # change, so it finds a good way, not always the best one there is.
    class WayToTarget
      # moves :: Array of Moves::Move, in order; size :: papers after them; lost :: must-find papers
      #   lost, a number
      # inside :: whether the band is reached
      class Way < Value
        attributes :moves, :size, :lost, :inside
      end

      LONGEST = 3
      # How many states are looked on from.
      WIDTH = 4
      private_constant :LONGEST, :WIDTH

      # moves :: a Proc from a State to its Moves; aim :: Aim; must_find :: RecordSet
      def initialize(evaluator:, aim:, must_find:, moves:)
        @evaluator = evaluator
        @aim = aim
        @must_find = must_find
        @moves = moves
      end

      # state :: State. Gives a Way, nil when the state is in the band already or nothing brings it
      #   nearer.
      def call(state)
        start = WhatIfs.new(state, evaluator: @evaluator, must_find: @must_find).now
        return if @aim.standing(start.size) == :inside

        best = nil
        fronts = [[[], state]]
        LONGEST.times do
          ways = fronts.flat_map { |moves, at| onwards(moves, at, start) }.sort_by { |way, _| rank(way) }
          best = [best, ways.first&.first].compact.min_by { |way| rank(way) }
          return best if best.nil? || best.inside

          fronts = ways.uniq { |_, at| at }.first(WIDTH).map { |way, at| [way.moves, at] }
        end
        best
      end

      private

      def onwards(moves, state, start)
        WhatIfs.new(state, evaluator: @evaluator).call(@moves.call(state).call).map do |what_if|
          lost = (start & @must_find) - what_if.set
          inside = @aim.standing(what_if.size) == :inside
          [Way.new(moves: [*moves, what_if.move], size: what_if.size, lost: lost.size, inside:),
           what_if.move.state]
        end
      end

      # In the band first, then the fewest lost, the nearest, the shortest.
      def rank(way)
        far = [@aim.from - way.size, way.size - @aim.to, 0].max
        [way.inside ? 0 : 1, way.inside ? way.lost : far, way.inside ? far : way.lost,
         way.moves.size]
      end

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
          sized(first.state, done).map { |found| Found.new(moves: [first, found.move], size: found.size) }
        end

        def sized(state, moves) = WhatIfs.new(state, evaluator: @evaluator).call(moves)

        def in_the_way(state, number)
          state.trees.count { |tree| !@evaluator.call(tree).include?(number) } +
            state.excluded_trees.count { |tree| @evaluator.call(tree).include?(number) }
        end
      end
    end
  end
end
