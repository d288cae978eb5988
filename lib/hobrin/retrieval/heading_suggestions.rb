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

      # How near a heading is to what a block means: by a word that its names share with a term of the
      # block, by its place in the thesaurus, or by its papers.
      class Nearness
        # how :: key of ORDER; about :: the shared word, or the heading of the block that it is near; for
        #   :papers of 10 of its papers how many are in the block
        class Reason < Value
          attributes :how, :about

          def rank = ORDER.fetch(how)
        end

        # Nearest first.
        ORDER = { word: 0, narrower: 1, beside: 1, related: 1, broader: 2, papers: 3 }.freeze
        # Shorter words tell too little, and these stand in names of all kinds.
        SHORTEST = 4
        COMMON = %w[care patient patients nursing nurse hospital hospitals unit units adult adults people person persons health
                    medical clinical study studies service services treatment therapy quality child children acute chronic
                    postoperative surgical older aged elderly women men after before during early late].freeze
        # A heading is near by its papers where so many of 10 are in the block, and so many times as many
        # as of the library.
        OF_TEN = 3
        TIMES = 5
        private_constant :SHORTEST, :COMMON, :OF_TEN, :TIMES

        # block :: Strategy::Block; found :: RecordSet that it finds
        def initialize(block, evaluator, found)
          @evaluator = evaluator
          @thesaurus = evaluator.thesaurus
          @found = found
          @labels = block.in_use.select(&:heading?).map(&:label)
          @masks = block.in_use.flat_map { |term| masks(term.leaf) }
        end

        # label :: of a heading; papers :: RecordSet of those that have it. Gives a Reason, nil where it
        # is not near.
        def call(label, papers) = by_word(label) || by_place(label) || by_papers(papers)

        # RecordSet of what a heading finds as it is added, with its narrower ones.
        def as_added(label) = @evaluator.call(Strategy::Heading.of(label, @thesaurus))

        private

        def masks(leaf)
          texts = case leaf
                  when Strategy::Heading then @thesaurus.heading(leaf.label)&.names || [leaf.label]
                  when Strategy::TextTerm then [leaf.text]
                  when Strategy::Proximity then [leaf.left, leaf.right]
                  else []
                  end
          texts.flat_map { |text| Text::Tokens.masked(text) }.select { |word| word.size >= SHORTEST && !COMMON.include?(word) }
               .map { |word| Text::Mask.new(word) }
        end

        def by_word(label)
          words = (@thesaurus.heading(label)&.names || [label]).flat_map { |name| Text::Tokens.of(name) } - COMMON
          shared = words.find { |word| word.size >= SHORTEST && @masks.any? { |mask| mask.match?(word) } }
          shared && Reason.new(how: :word, about: shared)
        end

        def by_place(label)
          above = @thesaurus.heading(label)&.broader || []
          places = { narrower: @labels & above, related: @labels & @thesaurus.related(label),
                     beside: @labels.select { |own| above.intersect?(@thesaurus.heading(own)&.broader || []) },
                     broader: @labels.select { |own| @thesaurus.heading(own)&.broader&.include?(label) } }
          how, near = places.find { |_, labels| labels.any? }
          how && Reason.new(how:, about: near.first)
        end

        def by_papers(papers)
          share = papers.overlap(@found).fdiv(papers.size)
          base = @found.size.fdiv(@evaluator.index.everything.size)
          return if (share * 10).round < OF_TEN || share < TIMES * base

          Reason.new(how: :papers, about: (share * 10).round)
        end
      end
    end
  end
end
