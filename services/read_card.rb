# frozen_string_literal: true

module Hobrin
  module Services
    # What is shown of one term, or of one heading before it is added.
    class ReadCard
      # key   :: of the block; term :: Strategy::Term, nil for a heading that is not in the block; leaf :: what it searches
      # heading :: Thesaurus::Heading or nil; place :: Retrieval::HeadingPlace or nil; choices :: of HeadingChoices
      # ways  :: Array of Retrieval::OtherWays::Way; taken_in :: Retrieval::TakenIn of a masked term, or nil
      # first, last :: whether the term stands first or last in its block
      Card = Struct.new(:key, :term, :leaf, :heading, :place, :choices, :ways, :taken_in, :first, :last,
                        keyword_init: true)

      def initialize(context)
        @context = context
        @thesaurus = context.thesaurus
        @evaluator = context.evaluator
      end

      # Gives a Card, nil when the term is gone.
      def term(inquiry, term_id)
        block = inquiry.block_of(term_id) or return
        term = block.term(term_id)
        places = [block.terms.first, block.terms.last].map { |one| one == term }
        card(block, term, term.leaf, first: places.first, last: places.last)
      end

      # Gives a Card, nil when there is no such heading.
      def heading(inquiry, key, label)
        return unless @thesaurus.heading(label) && inquiry.question.element(key)&.searched?

        held = inquiry.block(key).terms.find { |term| term.heading? && term.label == label }
        card(inquiry.block(key), held,
             held&.leaf || Strategy::Heading.new(label:, narrower: @thesaurus.narrower?(label)))
      end

      private

      def card(block, term, leaf, **rest)
        heading = leaf.is_a?(Strategy::Heading) ? @thesaurus.heading(leaf.label) : nil
        place = heading && Retrieval::HeadingPlace.of(heading.label, @evaluator)
        Card.new(key: block.key, term:, leaf:, heading:, place:,
                 choices: heading ? Retrieval::HeadingChoices.call(leaf, block, term, @evaluator) : [],
                 ways: ways(block, term, leaf), taken_in: taken_in(leaf), **rest)
      end

      def ways(block, term, leaf)
        Retrieval::OtherWays.new(@evaluator).call(term || Strategy::Term.new(id: 0, leaf:), block)
      end

      def taken_in(leaf) = (Retrieval::TakenIn.of(leaf, @evaluator) if leaf.is_a?(Strategy::Words) && leaf.masked?)
    end
  end
end
