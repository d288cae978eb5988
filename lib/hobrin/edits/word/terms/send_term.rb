# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Moves a term to the end of another block.
      #
      # to :: key of that block. Raises InputError (:term) when it is not searched, or has the term
      #   already.
      class SendTerm < TermEdit
        attributes :term_id, :to

        def call(inquiry, _surroundings)
          block = block(inquiry)
          term = block.term(term_id)
          other = inquiry.question.element(to)
          refuse("Choose a block that is searched.") unless other&.searched? && to != block.key
          refuse("#{other.letter} has “#{term.label}” already.") if inquiry.block(to).holds?(term.leaf)

          left = inquiry.with_block(block.replace(term_id) { nil })
          target = left.block(to)
          Change.new(inquiry: left.with_block(target.with(terms: [*target.terms, term])), kind: :term_sent,
                     facts: { label: term.label, letter: other.letter })
        end

        private

        def refuse(message) = raise(InputError, { term: message })
      end
    end
  end
end
