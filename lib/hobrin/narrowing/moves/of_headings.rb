# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # Changes of one heading, and what lies around it in the thesaurus.
      class OfHeadings
        # letters :: Hash of a block's key to how it is named
        def initialize(state, thesaurus, letters)
          @state = state
          @letters = letters
          @thesaurus = thesaurus
        end

        # Gives an Array of Move.
        def call
          @state.blocks.flat_map do |block|
            block.in_use.select(&:heading?).flat_map do |term|
              changes(block, term) + additions(block, term)
            end
          end
        end

        private

        def changes(block, term)
          [*aspects_off(block, term), main(block, term), *narrower(block, term),
           *aspects(block, term)]
        end

        def aspects_off(block, term)
          return [] if term.leaf.aspects.empty?

          [change(block, term, :widen, :aspects_off, { aspects: [] })]
        end

        def main(block, term)
          return change(block, term, :widen, :main_off, { main: false }) if term.leaf.main

          change(block, term, :narrow, :main_on, { main: true })
        end

        def narrower(block, term)
          below = @thesaurus.children(term.label)
          return [] if below.empty?
          return [change(block, term, :widen, :narrower_on, { narrower: true })] unless term.leaf.narrower

          [change(block, term, :narrow, :narrower_off, { narrower: false }),
           *below.map { |heading| in_place(block, term, heading) }]
        end

        def in_place(block, term, label)
          change(block, term, :narrow, :narrower, { label:, aspects: [] }, instead: label)
        end

        def aspects(block, term)
          return [] if term.leaf.aspects.any?

          (@thesaurus.heading(term.label)&.aspects || []).map do |aspect|
            change(block, term, :narrow, :aspect, { aspects: [aspect] }, aspect:)
          end
        end

        # What lies around a heading, and its names as words, for papers that have no headings yet.
        def additions(block, term)
          heading = @thesaurus.heading(term.label)
          return [] if heading.nil? || block.full?

          found = [*headings(:broader, heading.broader), *headings(:related, @thesaurus.related(term.label)),
                   *names(heading)]
          found.reject { |_, leaf| block.holds?(leaf) }.map { |kind, leaf| add(block, term, kind, leaf) }
        end

        def headings(kind, labels) = labels.map { |label| [kind, Strategy::Heading.new(label:)] }

        def names(heading)
          heading.names.map { |name| Text::Tokens.line(name) }.reject(&:empty?).uniq
                 .map { |name| [:words, Strategy::TextTerm.new(text: name)] }
        end

        def change(block, term, direction, kind, changes, **facts)
          Move.new(direction:, kind:, facts: { term: term.id, label: term.label, **facts },
                   state: @state.with_leaf(block, term, term.leaf.with(**changes)))
        end

        def add(block, term, kind, leaf)
          beside = kind == :broader ? { label: term.label } : {}
          facts = { block: block.key, letter: @letters[block.key], adds: leaf.label, **beside }
          Move.new(direction: :widen, kind:, facts:,
                   state: @state.with_block(block.with_leaf(leaf)))
        end
      end
    end
  end
end
