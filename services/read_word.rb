# frozen_string_literal: true

module Hobrin
  module Services
    # What the Word step shows beyond the inquiry: the figures of each block, how the joined ones overlap, and for an
    # empty one what the phrases of the question suggest.
    class ReadWord
      # block :: Strategy::Block; element :: Question::Element; figures :: Retrieval::BlockFigures
      # suggestions :: Array of OfferTerms::Offer, for a block without terms
      # narrower :: Hash of heading label to how many narrower headings it has, nil when it is no heading any more
      # wild :: Hash of term id to how many spellings a masked term takes in, for those where they are very many
      Column = Struct.new(:block, :element, :figures, :suggestions, :narrower, :wild, keyword_init: true)

      def initialize(context)
        @context = context
        @thesaurus = context.thesaurus
        @evaluator = context.evaluator
      end

      # inquiry :: Inquiry. Gives an Array of Column, in the order of the frame.
      def call(inquiry)
        inquiry.searched_blocks.map do |block|
          element = inquiry.question.element(block.key)
          figures = Retrieval::BlockFigures.of(block, @evaluator)
          Column.new(block:, element:, figures:, narrower: narrower(block),
                     suggestions: block.terms.empty? ? suggestions(element, block) : [], wild: wild(block))
        end
      end

      # The blocks that find papers, be they joined or taken away, and how they lie over each other.
      # Gives [Array of Strategy::Block, Retrieval::Overlap, Statistics::Circles or nil].
      def overlap(inquiry)
        blocks = inquiry.searched_blocks.select { |block| block.tree && block.joins != :out }
        overlap = Retrieval::Overlap.of(blocks.map { |block| @evaluator.call(block.tree) })
        [blocks, overlap, Statistics::Circles.of(overlap.regions)]
      end

      private

      def suggestions(element, block)
        reading = Thesaurus::Reading.new(@thesaurus)
        parts = element.phrases.flat_map { |phrase| reading.call(phrase.text) }
        offers = OfferTerms.new(@context)
        found = parts.filter_map { |part| offers.part(part, block) }
        found.flat_map { |offer| offer.adds.zero? ? offers.near(offer, block) : [offer] }.uniq(&:leaf)
      end

      def narrower(block)
        block.terms.select(&:heading?).to_h do |term|
          [term.label, @thesaurus.heading(term.label) && (@thesaurus.with_narrower(term.label).size - 1)]
        end
      end

      def wild(block)
        masked = block.terms.select { |term| term.leaf.is_a?(Strategy::Words) && term.leaf.masked? }
        taken = masked.to_h { |term| [term.id, Retrieval::TakenIn.of(term.leaf, @evaluator)] }
        taken.select { |_, one| one.wild? }.transform_values(&:size)
      end
    end
  end
end
