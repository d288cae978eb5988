# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Answers a tree over one version of the library. A leaf is asked of the index once and kept; everything
    # above is set algebra. Safe to share between threads. When the library changes, make a new one.
    class Evaluator
      # How many leaves are kept; past it, all are let go and asked anew.
      MOST_LEAVES = 5_000
      private_constant :MOST_LEAVES

      attr_reader :thesaurus, :index

      def initialize(index:, thesaurus:)
        @index = index
        @thesaurus = thesaurus
        @leaves = {}
        @lock = Mutex.new
      end

      def inspect = "#<#{self.class}>"

      # A tree in; a RecordSet out. nil stands for "nothing is searched yet" and gives the empty set.
      # A heading that the thesaurus no longer has finds the records that still carry it.
      def call(tree)
        case tree
        when nil then Records::RecordSet.empty
        when Strategy::AnyOf then Records::RecordSet.union(tree.parts.map { |part| call(part) })
        when Strategy::AllOf then tree.parts.map { |part| call(part) }.reduce(:&)
        when Strategy::Except then call(tree.kept) - call(tree.taken)
        else leaf(tree)
        end
      end

      def count(tree) = call(tree).size

      private

      def leaf(leaf)
        @lock.synchronize do
          return @leaves[leaf] if @leaves.key?(leaf)
        end
        set = answer(leaf)
        @lock.synchronize do
          @leaves.clear if @leaves.size >= MOST_LEAVES
          @leaves[leaf] = set
        end
      end

      def answer(leaf)
        case leaf
        when Strategy::Words then index.words(leaf)
        when Strategy::Heading then heading(leaf)
        when Strategy::Limit then union(leaf.values) { |value| index.facet(leaf.name, value) }
        when Strategy::Dates then union(index.years.select { |year| leaf.cover?(year) }) { |year| index.facet(:year, year) }
        else raise ArgumentError, "no such leaf: #{leaf.class}"
        end
      end

      def heading(leaf)
        labels = leaf.narrower ? thesaurus.with_narrower(leaf.label) : [leaf.label]
        union(labels) { |label| index.heading(label, leaf.main) }
      end

      def union(values, &) = Records::RecordSet.union(values.map(&))
    end
  end
end
