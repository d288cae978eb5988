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

      # What each of several sets alone adds to their union, in one pass: walking once with the union
      # of those seen and the records seen at least twice.
      module UniqueYield
        # sets :: Array of RecordSet. Gives an Array of RecordSet in the same order.
        def self.call(sets)
          once = Records::RecordSet.empty
          twice = Records::RecordSet.empty
          sets.each do |set|
            twice |= once & set
            once |= set
          end
          sets.map { |set| set - twice }
        end
      end

      # How several sets lie over each other.
      #
      # sizes   :: Array of how many each holds; all :: how many are in every one
      # pairs   :: Hash of [place, place] to how many two of them share
      # regions :: Hash of Array of places to how many are in just those sets; only for two or three
      #   sets
      class Overlap < Value
        attributes :sizes, :pairs, :all, :regions

        # sets :: Array of RecordSet
        def self.of(sets)
          places = sets.each_index.to_a
          pairs = places.combination(2).to_h do |pair|
            [pair, sets[pair.first].overlap(sets[pair.last])]
          end
          new(sizes: sets.map(&:size), pairs:, all: sets.empty? ? 0 : Records::RecordSet.intersection(sets).size,
              regions: sets.size.between?(2, 3) ? regions(sets, places) : {})
        end

        def self.regions(sets, places)
          (1..places.size).flat_map { |size| places.combination(size).to_a }.to_h do |inside|
            others = Records::RecordSet.union(sets.values_at(*(places - inside)))
            [inside, (Records::RecordSet.intersection(sets.values_at(*inside)) - others).size]
          end
        end
        private_class_method :regions
      end
    end
  end
end
