# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # What all edits of one term have in common: they are about that term, wherever it stands by
      # now.
      #
      # term_id :: of the term
      class TermEdit < Edit
        STEP = :word

        def about(inquiry)
          block = inquiry.block_of(term_id)
          [block&.key, block&.term(term_id)]
        end

        private

        # Raises GoneError when the term is in no block.
        def block(inquiry) = inquiry.block_of(term_id) || raise(GoneError, "term")

        def letter(inquiry, block) = inquiry.question.element(block.key)&.letter || block.key

        # The Change that what the block gives for the term makes; nil takes it out.
        # kinds :: what the term must be for this; more :: a Proc from the changed leaf to further
        #   facts
        def replace(inquiry, kind, kinds: Strategy::Term::LEAVES, more: nil, **facts, &changing)
          block = block(inquiry)
          term = block.term(term_id)
          raise GoneError, "term" unless kinds.include?(term.leaf.class)

          changed = block.replace(term_id, &changing)
          refuse_twice(block, changed)
          facts = { letter: letter(inquiry, block), label: term.label, **facts,
                    **(more ? more.call(changed.term(term_id).leaf) : {}) }
          Change.new(inquiry: inquiry.with_block(changed), kind:, facts:)
        end

        def refuse_twice(block, changed)
          leaves = changed.terms.map(&:leaf)
          return if leaves.uniq.size == leaves.size || block.terms.map(&:leaf).tally == leaves.tally

          raise InputError, { words: "“#{leaves.tally.key(2)&.label}” is in this block already." }
        end
      end
    end
  end
end
