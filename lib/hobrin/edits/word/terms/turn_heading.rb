# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
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
    end
  end
end
