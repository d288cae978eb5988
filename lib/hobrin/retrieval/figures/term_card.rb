# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What is shown of one term, or of one heading before it is added.
    #
    # key   :: of the block; term :: Strategy::Term, nil for a heading that is not in the block;
    #   leaf :: what it searches
    # heading :: Thesaurus::Heading or nil; place :: HeadingPlace or nil; choices :: of HeadingChoices
    # synonyms :: Array of Synonyms::Synonym; expansion :: TruncationExpansion of a masked term, or nil
    # first, last :: whether the term stands first or last in its block
    class TermCard < Value
      attributes :key, :term, :leaf, :heading, :place, :choices, :synonyms, :expansion, :first,
                 :last

      class << self
        # block :: Strategy::Block; term :: one of its terms
        def of_term(block, term, evaluator)
          first, last = block.terms.values_at(0, -1).map { |one| one == term }
          card(block, term, term.leaf, evaluator, first:, last:)
        end

        # label :: of a heading of the thesaurus, in the block or not
        def of_heading(block, label, evaluator)
          held = block.terms.find { |term| term.heading? && term.label == label }
          return of_term(block, held, evaluator) if held

          card(block, nil, Strategy::Heading.of(label, evaluator.thesaurus), evaluator,
               first: false, last: false)
        end

        private

        def card(block, term, leaf, evaluator, **rest)
          heading = leaf.is_a?(Strategy::Heading) ? evaluator.thesaurus.heading(leaf.label) : nil
          choices = heading ? HeadingChoices.call(leaf, evaluator) : []
          of = term || Strategy::Term.new(id: 0, leaf:)
          new(key: block.key, term:, leaf:, heading:, choices:,
              place: heading && HeadingPlace.of(heading.label, evaluator),
              synonyms: Synonyms.new(evaluator).call(of, block), expansion: expansion(leaf, evaluator), **rest)
        end

        def expansion(leaf, evaluator)
          TruncationExpansion.of(leaf, evaluator) if leaf.is_a?(Strategy::TextTerm) && leaf.masked?
        end
      end
    end
  end
end
