# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What a block would still gain: headings that are near to what it means, commoner among some of its
    # papers than in the rest of the library, and that bring papers the block lacks.
    module HeadingSuggestions
      # label :: the heading; share :: of how many of the sample's papers it stands on; adds ::
      #   papers the block lacks
      # near :: Nearness::Reason; ratio :: Dunning's log-likelihood ratio of the two shares
      class Suggestion < Value
        attributes :label, :share, :adds, :near, :ratio
      end

      # Chi-square with one degree of freedom: what chance alone exceeds one time in twenty, asked of
      # headings near by word or place, and one time in a thousand, asked of the rest, since some hundred
      # are looked at.
      LEAST = { word: 3.84, narrower: 3.84, beside: 3.84, related: 3.84, broader: 3.84, papers: 10.83 }.freeze
      MOST = 8
      private_constant :LEAST, :MOST

      # sample :: RecordSet, such as the block's newest papers or those that were kept; block :: Strategy::Block
      # others :: Array of Strategy::Block whose headings belong to another element
      # Gives an Array of Suggestion, the nearest first, and of those the most over-represented.
      def self.call(sample, block, evaluator, others: [])
        found = evaluator.call(block.tree)
        rest = evaluator.index.everything.size - sample.size
        held = [block, *others].flat_map(&:terms).select(&:heading?).flat_map do |term|
          covered(term.leaf, evaluator)
        end
        sets = evaluator.index.sets(:heading)
        nearness = Nearness.new(block, evaluator, found)
        wanted = sets.keys - held - [Strategy::Heading::ANY]
        suggestions = wanted.filter_map do |label|
          suggestion(label, sets.fetch(label), sample, rest, found, nearness)
        end
        suggestions.sort_by { |suggestion| [suggestion.near.rank, -suggestion.ratio, suggestion.label] }.first(MOST)
      end

      def self.covered(leaf, evaluator)
        leaf.narrower ? evaluator.thesaurus.with_narrower(leaf.label) : [leaf.label]
      end

      def self.suggestion(label, set, sample, rest, found, nearness)
        share = set.overlap(sample)
        near = nearness.call(label, set) if share >= 2
        return unless near

        ratio = Statistics::LogLikelihood.call(share, sample.size, set.size - share, rest)
        return if ratio < LEAST.fetch(near.how)

        adds = (nearness.as_added(label) - found).size
        Suggestion.new(label:, share:, adds:, near:, ratio:) if adds.positive?
      end
      private_class_method :covered, :suggestion
    end
  end
end
