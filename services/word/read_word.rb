# frozen_string_literal: true

module Hobrin
  module Services
    # What the Word step shows beyond the inquiry: the figures of each block, how the joined ones
    # overlap, and for an empty one what the phrases of the question suggest.
    class ReadWord
      # block :: Strategy::Block; element :: Question::Element; figures :: Retrieval::BlockFigures
      # suggestions :: Array of Retrieval::TermOffers::Offer from the question, that the block has not
      # narrower :: Hash of heading label to how many narrower headings it has, nil when it is no
      #   heading any more
      # wild :: Hash of term id to how many spellings a masked term takes in, for those where they
      #   are very many
      class Column < Value
        attributes :block, :element, :figures, :suggestions, :narrower, :wild
      end

      # blocks :: Array of Strategy::Block; sets :: Retrieval::BlockFigures::Overlap; circles ::
      #   Statistics::Circles or nil
      class Overlap < Value
        attributes :blocks, :sets, :circles
      end

      # From so many terms on, a block is no longer offered those of the question.
      ENOUGH = 6
      private_constant :ENOUGH

      def initialize(context)
        @context = context
        @thesaurus = context.thesaurus
        @evaluator = context.evaluator
      end

      # inquiry :: Inquiry. Gives an Array of Column, in the order of the frame.
      def call(inquiry)
        inquiry.searched_blocks.map { |block| column(block, inquiry.question.element(block.key)) }
      end

      # The blocks that find papers, be they joined or taken away, and how they lie over each other.
      # Gives an Overlap.
      def overlap(inquiry)
        blocks = inquiry.searched_blocks.select { |block| block.tree && block.operator != :out }
        sets = Retrieval::BlockFigures::Overlap.of(blocks.map { |block| @evaluator.call(block.tree) })
        Overlap.new(blocks:, sets:, circles: Statistics::Circles.of(sets.regions))
      end

      # The card of a term. Gives a Retrieval::TermCard, nil when the term is gone.
      def term_card(inquiry, term_id)
        block = inquiry.block_of(term_id)
        block && Retrieval::TermCard.of_term(block, block.term(term_id), @evaluator)
      end

      # The card of a heading, in the block or not. Gives a Retrieval::TermCard, nil when there is
      # no such heading.
      def heading_card(inquiry, key, label)
        return unless @thesaurus.heading(label) && inquiry.question.element(key)&.searched?

        Retrieval::TermCard.of_heading(inquiry.block(key), label, @evaluator)
      end

      private

      def column(block, element)
        Column.new(block:, element:, figures: Retrieval::BlockFigures.of(block, @evaluator), narrower: narrower(block),
                   suggestions: suggestions(element, block), wild: wild(block))
      end

      def suggestions(element, block)
        return [] if block.terms.size >= ENOUGH

        offers = Retrieval::FirstTerms.new(block, @evaluator, dictionary: @context.dictionary).call(element.phrases.map(&:text))
        block.terms.empty? ? offers : offers.select { |offer| offer.finds? && !offer.held }
      end

      def narrower(block)
        block.terms.select(&:heading?).to_h do |term|
          [term.label,
           @thesaurus.heading(term.label) && (@thesaurus.with_narrower(term.label).size - 1)]
        end
      end

      def wild(block)
        masked = block.terms.select { |term| term.leaf.is_a?(Strategy::TextTerm) && term.leaf.masked? }
        taken_in = masked.to_h { |term| [term.id, Retrieval::TruncationExpansion.of(term.leaf, @evaluator)] }
        taken_in.select { |_, one| one.wild? }.transform_values(&:size)
      end
    end
  end
end
