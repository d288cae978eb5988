# frozen_string_literal: true

module Hobrin
  module Narrowing
    # What a count depends on: the blocks that are joined, those that wait, and the limits, in order. A change
    # gives a new state.
    #
    # blocks  :: Array of Strategy::Block; taken :: blocks that are taken away from those (NOT)
    # waiting :: blocks with terms that are not in the join
    # limits  :: Array of PlacedLimit, the study filter among them; let_in :: ids of papers let in by hand at the end
    class State < Value
      attributes :blocks, :taken, :waiting, :limits, :let_in

      # blocks :: Array of Strategy::Block, each joined as it says
      def self.of(blocks, limits, let_in = [])
        joins = blocks.group_by(&:joins)
        new(blocks: joins.fetch(:and, []), taken: joins.fetch(:not, []), waiting: joins.fetch(:out, []),
            limits:, let_in:)
      end

      def initialize(blocks:, taken: [], waiting: [], limits: [], let_in: [])
        @blocks, @taken, @waiting = [blocks, taken, waiting].map { |some| some.select(&:tree).freeze }
        @limits = limits.dup.freeze
        @let_in = let_in.dup.freeze
        freeze
      end

      # The trees that a paper must pass.
      def trees = [*blocks.map(&:tree), *limits.select(&:on).map(&:leaf)]

      # The trees that are taken away from them, and those that are let in whatever the others say.
      def taken_trees = taken.map(&:tree)
      def let_in_trees = let_in.map { |id| Strategy::Identifier.read(id) }

      # The whole as one tree, nil when nothing is searched.
      def tree
        return if blocks.empty?

        found = Strategy::AllOf.of(trees)
        found = Strategy::Except.new(kept: found, taken: Strategy::AnyOf.of(taken_trees)) if taken.any?
        Strategy::AnyOf.of([found, *let_in_trees])
      end

      # The PlacedLimit of a slot that is on, or nil.
      def limit(slot) = limits.find { |limit| limit.slot == slot && limit.on }

      def with_block(changed) = with(blocks: blocks.map { |block| block.key == changed.key ? changed : block })

      # The state with a term's leaf replaced.
      def with_leaf(block, term, leaf) = with_block(block.replace(term.id) { term.with(leaf:) })

      # The state with a limit set to a leaf, at its place or last; taken off when the leaf is nil.
      def with_limit(slot, leaf)
        placed = leaf && PlacedLimit.new(leaf:)
        return with(limits: [*limits, placed]) if placed && limits.none? { |limit| limit.slot == slot }

        with(limits: limits.filter_map { |limit| limit.slot == slot ? placed : limit })
      end
    end
  end
end
