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
            block.in_use.select(&:heading?).flat_map { |term| changes(block, term) + additions(block, term) }
          end
        end

        private

        def changes(block, term)
          [*aspects_off(block, term), main(block, term), *narrower(block, term), *aspects(block, term)]
        end

        def aspects_off(block, term)
          return [] if term.leaf.aspects.empty?

          [change(block, term, :widen, :aspects_off, { aspects: [] }, "#{term.label} under any aspect")]
        end

        def main(block, term)
          if term.leaf.main
            change(block, term, :widen, :main_off, { main: false }, "#{term.label} not only as a main topic")
          else
            change(block, term, :narrow, :main_on, { main: true }, "#{term.label} as a main topic only")
          end
        end

        def narrower(block, term)
          label = term.label
          below = @thesaurus.children(label)
          return [] if below.empty?
          return [with_narrower(block, term)] unless term.leaf.narrower

          [change(block, term, :narrow, :narrower_off, { narrower: false }, "#{label} without its narrower headings"),
           *below.map { |one| in_place(block, term, one) }]
        end

        def in_place(block, term, label)
          change(block, term, :narrow, :narrower, { label:, aspects: [] }, "#{label} in place of #{term.label}")
        end

        def with_narrower(block, term)
          change(block, term, :widen, :narrower_on, { narrower: true }, "#{term.label} with its narrower headings")
        end

        def aspects(block, term)
          return [] if term.leaf.aspects.any?

          (@thesaurus.heading(term.label)&.aspects || []).map do |aspect|
            change(block, term, :narrow, :aspect, { aspects: [aspect] }, "#{term.label} under #{aspect} only")
          end
        end

        def additions(block, term)
          heading = @thesaurus.heading(term.label) or return []
          broader = heading.broader.map { |label| [:broader, Strategy::Heading.new(label:), "the broader heading #{label} beside #{term.label}"] }
          related = @thesaurus.related(term.label).map { |label| [:related, Strategy::Heading.new(label:), "the related heading #{label}"] }
          (broader + related + names(heading)).reject { |_, leaf, _| block.holds?(leaf) }
                                              .map { |kind, leaf, wording| add(block, kind, leaf, wording) }
        end

        # Its names as words, for papers that have no headings yet.
        def names(heading)
          heading.names.map { |name| Text::Tokens.line(name) }.reject(&:empty?).uniq
                 .map { |name| [:words, Strategy::Words.new(text: name), "the words “#{name}”"] }
        end

        def change(block, term, direction, kind, changes, wording)
          Move.new(direction:, kind:, wording:, state: @state.with_leaf(block, term, term.leaf.with(**changes)))
        end

        def add(block, kind, leaf, wording)
          id = block.terms.map(&:id).max + 1
          changed = block.with(terms: [*block.terms, Strategy::Term.new(id:, leaf:)])
          Move.new(direction: :widen, kind:, wording: "with #{wording} in #{@letters[block.key]}",
                   state: @state.with_block(changed))
        end
      end
    end
  end
end
