# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What a block would still gain: headings that are commoner among some of its papers than in the rest of the library,
    # by Dunning's log-likelihood ratio, and that bring papers the block lacks.
    module Gains
      # label :: the heading; share :: of how many of the sample's papers it stands on; adds :: papers the block lacks
      # ratio :: the log-likelihood ratio
      Gain = Struct.new(:label, :share, :adds, :ratio, keyword_init: true)

      # 3.84 is what chance alone exceeds one time in twenty (chi-square, one degree of freedom); with some hundred
      # headings looked at, one time in a thousand is asked for.
      LEAST = 10.83
      MOST = 8
      private_constant :LEAST, :MOST

      # sample :: RecordSet, such as the block's newest papers or those that were kept; block :: Strategy::Block
      # others :: Array of Strategy::Block whose headings belong to another element
      # Gives an Array of Gain, the most over-represented first.
      def self.call(sample, block, evaluator, others: [])
        found = evaluator.call(block.tree)
        rest = evaluator.index.everything.size - sample.size
        held = [block, *others].flat_map(&:terms).select(&:heading?).flat_map { |term| covered(term.leaf, evaluator) }
        sets = evaluator.index.sets(:heading)
        gains = (sets.keys - held - [Strategy::Heading::ANY]).filter_map { |label| gain(label, sets.fetch(label), sample, rest, found) }
        gains.sort_by { |one| [-one.ratio, one.label] }.first(MOST)
      end

      def self.covered(leaf, evaluator) = leaf.narrower ? evaluator.thesaurus.with_narrower(leaf.label) : [leaf.label]

      def self.gain(label, set, sample, rest, found)
        share = set.overlap(sample)
        return if share < 2

        ratio = Statistics::LogLikelihood.call(share, sample.size, set.size - share, rest)
        adds = ratio >= LEAST ? (set - found).size : 0
        Gain.new(label:, share:, adds:, ratio:) if adds.positive?
      end
      private_class_method :covered, :gain
    end
  end
end
