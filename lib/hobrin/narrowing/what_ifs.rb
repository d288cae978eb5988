# frozen_string_literal: true

module Hobrin
  module Narrowing
    # What each single change would do, run for real: papers after it, which come in and which go
    # out, and which must-find papers would be lost. Parts that a change leaves alone are worked out
    # once for all of them.
    class WhatIfs
      # move :: Moves::Move; set :: the RecordSet after it; added, removed :: RecordSets against now
      # lost, regained :: must-find papers that go and that come, RecordSets
      class WhatIf < Value
        attributes :move, :set, :added, :removed, :lost, :regained

        def size = set.size
        def name = move.name
        def wording = move.wording

        # Whether it would change nothing.
        def nothing? = added.empty? && removed.empty?
      end

      # must_find :: RecordSet of the papers that the person knows
      def initialize(state, evaluator:, must_find: Records::RecordSet.empty)
        @state = state
        @evaluator = evaluator
        @must_find = must_find
        @sets = {}
        @now = set(state)
      end

      # The RecordSet as it stands.
      attr_reader :now

      # moves :: Array of Moves::Move; aim :: Aim, or nil. Gives an Array of WhatIf, the nearest to
      #   the aim first, in
      # the order of the moves without one.
      def call(moves, aim: nil)
        found = moves.map { |move| what_if(move) }
        aim ? found.sort_by.with_index { |one, place| [distance(one.size, aim), one.lost.size, place] } : found
      end

      private

      def what_if(move)
        Deadline.check
        after = set(move.state)
        removed = now - after
        added = after - now
        WhatIf.new(move:, set: after, added:, removed:, lost: removed & @must_find,
                   regained: added & @must_find)
      end

      def set(state)
        return Records::RecordSet.empty if state.blocks.empty?

        limits = state.limits.select(&:on).map { |limit| kept(limit.leaf) }
        found = Records::RecordSet.intersection(state.blocks.map { |block| names(block) } + limits)
        found = state.excluded.reduce(found) { |left, block| left - names(block) }
        found.join(state.included_trees.map { |tree| kept(tree) })
      end

      # What a block finds, by the sets of its leaves: no tree is built for it.
      def names(block)
        @sets[block] ||= begin
          found = together(block.in_use)
          block.excluded.empty? ? found : found - together(block.excluded)
        end
      end

      def together(terms) = Records::RecordSet.union(terms.map { |term| kept(term.leaf) })

      def kept(tree) = @sets[tree] ||= @evaluator.call(tree)

      # How many papers too many or too few; 0 inside the band.
      def distance(size, aim) = [aim.from - size, size - aim.to, 0].max
    end
  end
end
