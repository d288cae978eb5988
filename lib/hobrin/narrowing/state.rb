# frozen_string_literal: true

module Hobrin
  module Narrowing
    # What a count depends on: the blocks that are joined, those that wait, and the limits, in
    # order. A change gives a new state.
    #
    # blocks  :: Array of Strategy::Block; excluded :: blocks that are taken away from those (NOT)
    # waiting :: blocks with terms that are not in the join
    # limits  :: Array of AppliedLimit, the study filter among them; included_ids :: ids of papers
    #   let in by hand at the end
    class State < Value
      attributes :blocks, :excluded, :waiting, :limits, :included_ids

      # blocks :: Array of Strategy::Block, each joined as it says
      def self.of(blocks, limits, included_ids = [])
        operators = blocks.group_by(&:operator)
        new(blocks: operators.fetch(:and, []), excluded: operators.fetch(:not, []), waiting: operators.fetch(:out, []),
            limits:, included_ids:)
      end

      def initialize(blocks:, excluded: [], waiting: [], limits: [], included_ids: [])
        @blocks, @excluded, @waiting = [blocks, excluded, waiting].map do |some|
          some.select(&:filled?).freeze
        end
        @limits = limits.dup.freeze
        @included_ids = included_ids.dup.freeze
        freeze
      end

      # The trees that a paper must pass.
      def trees = [*blocks.map(&:tree), *limits.select(&:on).map(&:leaf)]

      # The trees that are taken away from them, and those that are let in whatever the others say.
      def excluded_trees = excluded.map(&:tree)
      def included_trees = included_ids.map { |id| Strategy::Identifier.read(id) }

      # The whole as one tree, nil when nothing is searched.
      def tree
        return if blocks.empty?

        found = Strategy::AllOf.of(trees)
        found = Strategy::Except.new(kept: found, excluded: Strategy::AnyOf.of(excluded_trees)) if excluded.any?
        Strategy::AnyOf.of([found, *included_trees])
      end

      # The AppliedLimit of a slot that is on, or nil.
      def limit(slot) = limits.find { |limit| limit.slot == slot && limit.on }

      def with_block(changed)
        with(blocks: blocks.map { |block| block.key == changed.key ? changed : block })
      end

      # The state with a term's leaf replaced.
      def with_leaf(block, term, leaf) = with_block(block.replace(term.id) { term.with(leaf:) })

      # The state with a limit set to a leaf, at its place or last; taken off when the leaf is nil.
      def with_limit(slot, leaf)
        placed = leaf && AppliedLimit.new(leaf:)
        return with(limits: [*limits, placed]) if placed && limits.none? { |limit| limit.slot == slot }

        with(limits: limits.filter_map { |limit| limit.slot == slot ? placed : limit })
      end

      # A search as another catalogue was asked it.
      #
      # source :: its name; address, protocol :: of it; lines :: Array of Line as sent; query :: the
      #   whole as sent; count :: records found there; on :: ISO day; import_id :: of what was brought
      #   in from it, nil for nothing
      class ExternalSearch < Value
        attributes :source, :address, :protocol, :lines, :query, :count, :on, :import_id

        # name :: in words; text :: as it was sent; count :: records that it finds there, nil where that
        #   was not asked; by_hand :: whether a person wrote the text
        class Line < Value
          attributes :name, :text, :count, :by_hand
        end
      end
    end
  end
end
