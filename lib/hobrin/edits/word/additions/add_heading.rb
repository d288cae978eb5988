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
          allowed = surroundings.evaluator.thesaurus.heading(plain.label).aspects
          leaf = plain.with(narrower: narrower && plain.narrower, main:, aspects: aspects & allowed)
          Reading.of([leaf])
        end
      end
    end
  end
end
