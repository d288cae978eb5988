# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Adds a heading searched in a way of its own.
      #
      # narrower, main, aspects :: as in Strategy::Heading; what the heading does not allow is left
      #   out
      class AddHeading < Addition
        attributes :block, :label, :narrower, :main, :aspects

        private

        def read(surroundings)
          plain = heading(label, surroundings)
          leaf = plain.with(narrower: narrower && plain.narrower, main:)
          allowed = surroundings.evaluator.thesaurus.aspects(leaf.label, narrower: leaf.narrower)
          Reading.of([leaf.with(aspects: aspects & allowed)])
        end
      end
    end
  end
end
