# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What a block would still gain: headings that are commoner among some of its papers than in the
    # rest of the library, by Dunning's log-likelihood ratio, and that bring papers the block lacks.
    module HeadingSuggestions
      # label :: the heading; share :: of how many of the sample's papers it stands on; adds ::
      #   papers the block lacks
      # ratio :: the log-likelihood ratio
      class Suggestion < Value
        attributes :label, :share, :adds, :ratio
      end

      # 3.84 is what chance alone exceeds one time in twenty (chi-square, one degree of freedom);
      # with some hundred headings looked at, one time in a thousand is asked for.
      LEAST = 10.83
      MOST = 8
      private_constant :LEAST, :MOST

      # sample :: RecordSet, such as the block's newest papers or those that were kept; block ::
      #   Strategy::Block
      # others :: Array of Strategy::Block whose headings belong to another element
      # Gives an Array of Suggestion, the most over-represented first.
      def self.call(sample, block, evaluator, others: [])
        found = evaluator.call(block.tree)
        rest = evaluator.index.everything.size - sample.size
        held = [block, *others].flat_map(&:terms).select(&:heading?).flat_map do |term|
          covered(term.leaf, evaluator)
        end
        sets = evaluator.index.sets(:heading)
        wanted = sets.keys - held - [Strategy::Heading::ANY]
        suggestions = wanted.filter_map do |label|
          suggestion(label, sets.fetch(label), sample, rest, found)
        end
        suggestions.sort_by { |one| [-one.ratio, one.label] }.first(MOST)
      end

      def self.covered(leaf, evaluator)
        leaf.narrower ? evaluator.thesaurus.with_narrower(leaf.label) : [leaf.label]
      end

      def self.suggestion(label, set, sample, rest, found)
        share = set.overlap(sample)
        return if share < 2

        ratio = Statistics::LogLikelihood.call(share, sample.size, set.size - share, rest)
        adds = ratio >= LEAST ? (set - found).size : 0
        Suggestion.new(label:, share:, adds:, ratio:) if adds.positive?
      end
      private_class_method :covered, :suggestion
    end
  end
end
