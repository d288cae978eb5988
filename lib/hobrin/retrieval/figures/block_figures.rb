# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Every number that stands in a block.
    #
    # size        :: records found by the block
    # by_words    :: of those, found by words and by no heading
    # not_indexed :: of those found by words only, the ones that have no headings yet
    # terms       :: Hash of term id to TermFigures
    class BlockFigures < Value
      attributes :size, :by_words, :not_indexed, :terms

      # size :: records the term finds; alone :: of those, what no other term in use finds; for a
      #   crossed out term what
      # it would add, for one that takes away what it takes
      class TermFigures < Value
        attributes :size, :alone

        def empty? = size.zero?
      end

      # block :: a Strategy::Block; evaluator :: an Evaluator. Those of a block that is as it was are
      # kept: on a page most blocks are.
      def self.of(block, evaluator) = evaluator.derived([self, block]) { work_out(block, evaluator) }

      def self.work_out(block, evaluator)
        sets = block.terms.to_h { |term| [term.id, evaluator.call(term.leaf)] }
        whole = evaluator.call(block.tree)
        found = Records::RecordSet.union(sets.values_at(*block.in_use.map(&:id)))
        by_words = whole - evaluator.call(headings_of(block))
        new(size: whole.size, by_words: by_words.size, not_indexed: by_words.overlap(evaluator.index.not_indexed),
            terms: term_figures(block, sets, whole, found))
      end

      def self.headings_of(block)
        leaves = block.in_use.select(&:heading?).map(&:leaf)
        leaves.empty? ? nil : Strategy::AnyOf.of(leaves)
      end

      def self.term_figures(block, sets, whole, found)
        used = block.in_use.map(&:id)
        alone = used.zip(UniqueYield.call(sets.values_at(*used))).to_h
        block.terms.to_h do |term|
          set = sets.fetch(term.id)
          size = if term.in_use? then alone.fetch(term.id).overlap(whole)
                 elsif term.excluded? then set.overlap(found)
                 else (set - found).size
                 end
          [term.id, TermFigures.new(size: set.size, alone: size)]
        end
      end
      private_class_method :work_out, :headings_of, :term_figures

      def empty? = size.zero?
    end
  end
end
