# frozen_string_literal: true

module Hobrin
  module Edits
    # Everything that can be done to a term.
    module Terms
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
        def replace(inquiry, kind, kinds: Strategy::Block::Term::LEAVES, more: nil, **facts, &changing)
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

          raise InputError, { words: Book.t("edits.errors.already_in_block", label: leaves.tally.key(2)&.label) }
        end
      end

      # Puts a term out of the search and leaves it in sight.
      #
      # reason :: why, "" when none was given
      class CrossOut < TermEdit
        attributes :term_id, :reason

        def call(inquiry, _surroundings)
          said = reason.strip
          replace(inquiry, :term_crossed_out, reason: said) { |term| term.with(crossed_out: said) }
        end
      end

      # Puts a term that was crossed out back to use, and one that takes away back to finding.
      class Restore < TermEdit
        attributes :term_id

        def call(inquiry, _surroundings)
          replace(inquiry, :term_taken_back) { |term| term.with(crossed_out: nil, excluded: false) }
        end
      end

      # Makes a term take its papers out of the block (NOT).
      class Exclude < TermEdit
        attributes :term_id

        def call(inquiry, _surroundings)
          replace(inquiry, :term_excluded) { |term| term.with(crossed_out: nil, excluded: true) }
        end
      end

      # Takes a term out of its block for good.
      class Remove < TermEdit
        attributes :term_id

        def call(inquiry, _surroundings) = replace(inquiry, :term_removed) { nil }
      end

      # Gives a term of words other words, or looks for them elsewhere or near each other.
      #
      # leaf :: Strategy::TextTerm or Strategy::Proximity
      class Reword < TermEdit
        attributes :term_id, :leaf

        WORDS = [Strategy::TextTerm, Strategy::Proximity].freeze
        private_constant :WORDS

        def call(inquiry, _surroundings)
          replace(inquiry, :term_reworded, kinds: WORDS, leaf:) { |term| term.with(leaf:) }
        end
      end

      # Turns one choice of how a heading is searched over.
      #
      # choice :: :narrower, :main, or the name of an aspect. Raises GoneError for an aspect that
      #   the heading does not allow.
      class TurnHeading < TermEdit
        attributes :term_id, :choice

        def call(inquiry, surroundings)
          thesaurus = surroundings.evaluator.thesaurus
          more = ->(leaf) { { leaf:, below: thesaurus.with_narrower(leaf.label).size - 1 } }
          replace(inquiry, :heading_turned, kinds: [Strategy::Heading], more:) do |term|
            term.with(leaf: turned(term.leaf, thesaurus))
          end
        end

        private

        def turned(leaf, thesaurus)
          case choice
          when :narrower then leaf.with(narrower: !leaf.narrower)
          when :main then leaf.with(main: !leaf.main)
          else leaf.with(aspects: aspects(leaf,
                                          thesaurus.aspects(leaf.label, narrower: leaf.narrower)))
          end
        end

        def aspects(leaf, allowed)
          raise GoneError, "aspect" unless allowed.include?(choice)

          leaf.aspects.include?(choice) ? leaf.aspects - [choice] : [*leaf.aspects, choice]
        end
      end

      # Moves a term among its neighbours.
      #
      # by :: 1 down, -1 up
      class Move < TermEdit
        attributes :term_id, :by

        # The order of the terms, whatever became of each of them.
        def about(inquiry) = inquiry.block_of(term_id)&.then { |block| block.terms.map(&:id) }

        def call(inquiry, _surroundings)
          block = block(inquiry)
          Change.new(inquiry: inquiry.with_block(block.moved(term_id, by)), kind: :term_moved,
                     facts: { label: block.term(term_id).label, by: })
        end
      end

      # Moves a term to the end of another block.
      #
      # to :: key of that block. Raises InputError (:term) when it is not searched, or has the term
      #   already.
      class Send < TermEdit
        attributes :term_id, :to

        def call(inquiry, _surroundings)
          block = block(inquiry)
          term = block.term(term_id)
          other = inquiry.question.element(to)
          refuse(Book.t("edits.errors.choose_block")) unless other&.searched? && to != block.key
          refuse(Book.t("edits.errors.already_there", block: other.letter, label: term.label)) if inquiry.block(to).holds?(term.leaf)

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
