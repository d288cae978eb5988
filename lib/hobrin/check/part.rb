# frozen_string_literal: true

module Hobrin
  class Check
    # What the parts of the check have in common.
    class Part
      # cascade :: a Proc that gives the Cascade of the inquiry, for the parts that need it
      def initialize(inquiry, evaluator, cascade)
        @inquiry = inquiry
        @evaluator = evaluator
        @cascade = cascade
        @blocks = inquiry.searched_blocks.reject { |block| block.operator == :out }
      end

      private

      attr_reader :inquiry, :evaluator, :blocks

      def thesaurus = evaluator.thesaurus
      def cascade = @cascade.call
      def filled = blocks.select(&:tree)
      def letter(block) = inquiry.question.element(block.key).letter

      # Array of [Block, Term] of the terms in use that are of a kind.
      def each_term(kind)
        filled.flat_map do |block|
          block.in_use.select { |term| term.leaf.is_a?(kind) }.map { |term| [block, term] }
        end
      end

      # kind :: a key of Texts::ALL; about :: what it was found at, so that it can be named;
      # mended :: the Inquiry after it,
      # or nil; words :: what its text is filled in with
      def finding(kind, about, mended = nil, **words)
        text = Texts.of(kind, words)
        # A count may have moved when it is pressed; what it is about has not.
        name = [kind, about, *words.values.grep_v(Integer)].join("|")
        Finding.new(kind:, name:, words:, group: text.group, says: text.says, why: text.why,
                    press: (text.press if mended), mended:)
      end

      # The inquiry with one more name in a block, nil when the block is full.
      def added(block, leaf) = (inquiry.with_leaf(block.key, leaf) unless block.full?)

      def of_term(term) = "term #{term.id}"

      def left_out(block) = inquiry.with_block(block.with_operator(:out))

      def crossed_out(block, term, reason)
        inquiry.with_block(block.replace(term.id) { |one| one.with(crossed_out: reason) })
      end

      def changed(block, term, leaf)
        inquiry.with_block(block.replace(term.id) { |one| one.with(leaf:) })
      end
    end
  end
end
