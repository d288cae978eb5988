# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Check
      # What the parts of the check have in common.
      class Part
        def initialize(inquiry, evaluator)
          @inquiry = inquiry
          @evaluator = evaluator
          @blocks = inquiry.searched_blocks.reject { |block| block.joins == :out }
        end

        private

        attr_reader :inquiry, :evaluator, :blocks

        def thesaurus = evaluator.thesaurus
        def filled = blocks.select(&:tree)
        def letter(block) = inquiry.question.element(block.key).letter

        # Array of [Block, Term] of the terms in use that are of a kind.
        def each_term(kind)
          filled.flat_map { |block| block.in_use.select { |term| term.leaf.is_a?(kind) }.map { |term| [block, term] } }
        end

        # kind :: a key of Texts::ALL; mended :: the Inquiry after it, or nil; words :: what its text is filled in with
        def finding(kind, mended = nil, **words)
          text = Texts::ALL.fetch(kind)
          says, why, press = [text.says, text.why, text.press].map { |template| template && format(template, words) }
          Finding.new(kind:, group: text.group, says:, why:, press:, mended:)
        end

        def left_out(block) = inquiry.with_block(block.joined(:out))

        def crossed_out(block, term, reason)
          inquiry.with_block(block.replace(term.id) { |one| one.with(crossed_out: reason) })
        end

        def changed(block, term, leaf) = inquiry.with_block(block.replace(term.id) { |one| one.with(leaf:) })
      end
    end
  end
end
