# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # Where words are looked for: in titles only, or anywhere in the text.
      class OfWords
        def initialize(state)
          @state = state
        end

        # Gives an Array of Move.
        def call
          @state.blocks.flat_map do |block|
            terms = block.in_use.select { |term| term.leaf.is_a?(Strategy::Words) }
            terms.size > 1 ? [*terms.flat_map { |term| one(block, term) }, all(block)] : terms.flat_map { |term| one(block, term) }
          end
        end

        private

        def one(block, term)
          { narrow: [[:title], "in titles only", :title_only], widen: [Strategy::Words::TEXT, "anywhere in the text", :fields] }
            .reject { |_, (fields, _, _)| (direction(term, fields) == :neither) }
            .map { |_, (fields, where, kind)| move(direction(term, fields), kind, "“#{term.label}” #{where}", block.replace(term.id) { looking(term, fields) }) }
        end

        # Towards fewer fields or more; neither when some go and others come.
        def direction(term, fields)
          return :narrow if (fields - term.leaf.fields).empty?

          (term.leaf.fields - fields).empty? ? :widen : :neither
        end

        # All words of the block at once: one word in the title means little where five others look everywhere.
        def all(block)
          terms = block.terms.map { |term| term.in_use? && term.leaf.is_a?(Strategy::Words) && term.leaf.fields.include?(:title) ? looking(term, [:title]) : term }
          move(:narrow, :titles_only, "all words of #{block.letter} in titles only", block.with(terms:))
        end

        def looking(term, fields) = term.with(leaf: term.leaf.with(fields:))

        def move(direction, kind, wording, block) = Move.new(direction:, kind:, wording:, state: @state.with_block(block))
      end
    end
  end
end
