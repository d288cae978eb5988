# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # Changes of one heading, and what lies around it in the thesaurus.
      class OfHeadings
        def initialize(state, thesaurus)
          @state = state
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
          leaf = term.leaf
          [(change(block, term, :widen, :aspects_off, { aspects: [] }, "#{leaf.label} under any aspect") if leaf.aspects.any?),
           if leaf.main then change(block, term, :widen, :main_off, { main: false }, "#{leaf.label} not only as a main topic")
           else change(block, term, :narrow, :main_on, { main: true }, "#{leaf.label} as a main topic only")
           end].compact + narrower(block, term) + aspects(block, term)
        end

        def narrower(block, term)
          leaf = term.leaf
          below = @thesaurus.children(leaf.label)
          return [] if below.empty?
          return [change(block, term, :widen, :narrower_on, { narrower: true }, "#{leaf.label} with its narrower headings")] unless leaf.narrower

          [change(block, term, :narrow, :narrower_off, { narrower: false }, "#{leaf.label} without its narrower headings"),
           *below.map { |label| change(block, term, :narrow, :narrower, { label:, aspects: [] }, "#{label} in place of #{leaf.label}") }]
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
          Move.new(direction: :widen, kind:, wording: "with #{wording}", state: @state.with_block(changed))
        end
      end
    end
  end
end
