# frozen_string_literal: true

module Hobrin
  module Services
    # What the Word step shows beyond the inquiry: the figures of each block, and for an empty one what
    # the phrases of the question suggest.
    class ReadWord
      # block :: Strategy::Block; element :: Question::Element; figures :: Retrieval::BlockFigures
      # suggestions :: Array of OfferTerms::Offer, for a block without terms
      # narrower :: Hash of heading label to how many narrower headings it has, nil when it is no heading any more
      Column = Struct.new(:block, :element, :figures, :suggestions, :narrower, keyword_init: true)

      def initialize(context)
        @context = context
      end

      # inquiry :: Inquiry. Gives an Array of Column, in the order of the frame.
      def call(inquiry)
        inquiry.searched_blocks.map do |block|
          element = inquiry.question.element(block.key)
          Column.new(block:, element:, figures: Retrieval::BlockFigures.of(block, @context.evaluator),
                     suggestions: block.terms.empty? ? suggestions(element, block) : [], narrower: narrower(block))
        end
      end

      private

      def suggestions(element, block)
        reading = Thesaurus::Reading.new(@context.library.thesaurus)
        parts = element.phrases.flat_map { |phrase| reading.call(phrase.text) }
        offers = OfferTerms.new(@context)
        parts.filter_map { |part| offers.part(part, block) }.uniq(&:leaf)
      end

      def narrower(block)
        thesaurus = @context.library.thesaurus
        block.terms.select(&:heading?).to_h do |term|
          [term.label, thesaurus.heading(term.label) && (thesaurus.with_narrower(term.label).size - 1)]
        end
      end
    end
  end
end
