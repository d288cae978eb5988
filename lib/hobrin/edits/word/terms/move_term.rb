# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Moves a term among its neighbours.
      #
      # by :: 1 down, -1 up
      class MoveTerm < TermEdit
        attributes :term_id, :by

        # The order of the terms, whatever became of each of them.
        def about(inquiry) = inquiry.block_of(term_id)&.then { |block| block.terms.map(&:id) }

        def call(inquiry, _surroundings)
          block = block(inquiry)
          Change.new(inquiry: inquiry.with_block(block.moved(term_id, by)), kind: :term_moved,
                     facts: { label: block.term(term_id).label, by: })
        end
      end
    end
  end
end
