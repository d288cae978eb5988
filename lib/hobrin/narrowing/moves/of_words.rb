# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # Where words are looked for: in titles only, or anywhere in the text; and terms that were crossed
      # out, of words or headings, in use again.
      class OfWords
        PLACES = { title_only: [:title], fields: Strategy::TextTerm::TEXT }.freeze
        private_constant :PLACES

        # letters :: Hash of a block's key to how it is named
        def initialize(state, letters)
          @state = state
          @letters = letters
        end

        # Gives an Array of Move.
        def call
          @state.blocks.flat_map do |block|
            terms = block.in_use.select { |term| term.leaf.is_a?(Strategy::TextTerm) }
            moves = [*terms.flat_map { |term| one(block, term) }, *restored(block)]
            terms.size > 1 ? [*moves, all(block)] : moves
          end
        end

        private

        def one(block, term)
          PLACES.filter_map do |kind, fields|
            towards = direction(term, fields) or next
            move(towards, kind, { term: term.id, label: term.label }, block.replace(term.id) { looking(term, fields) })
          end
        end

        def restored(block)
          block.terms.select(&:crossed_out?).map do |term|
            facts = { term: term.id, label: term.label, letter: @letters[block.key] }
            move(:widen, :restored, facts, block.replace(term.id) { term.with(crossed_out: nil) })
          end
        end

        # Towards fewer fields or more; nil when some go and others come.
        def direction(term, fields)
          return :narrow if (fields - term.leaf.fields).empty?

          :widen if (term.leaf.fields - fields).empty?
        end

        # All words of the block at once: one word in the title means little where five others look
        # everywhere.
        def all(block)
          terms = block.terms.map { |term| in_titles?(term) ? looking(term, [:title]) : term }
          move(:narrow, :titles_only, { block: block.key, letter: @letters[block.key] },
               block.with(terms:))
        end

        def in_titles?(term)
          term.in_use? && term.leaf.is_a?(Strategy::TextTerm) && term.leaf.fields.include?(:title)
        end

        def looking(term, fields) = term.with(leaf: term.leaf.with(fields:))

        def move(direction, kind, facts, block)
          Move.new(direction:, kind:, facts:, state: @state.with_block(block))
        end
      end
    end
  end
end
