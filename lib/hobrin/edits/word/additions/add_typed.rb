# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Adds what a person typed, read by the thesaurus: the longest names it knows as headings, the
      # rest as words.
      class AddTyped < Addition
        attributes :block, :typed

        private

        def read(surroundings)
          parts = Thesaurus::Reading.new(surroundings.evaluator.thesaurus).call(typed)
          refuse("Write a name for this: a word, a phrase, or several.") if parts.empty?

          typed = parts.to_h { |part| [leaf(part, surroundings), part.text] }
          Reading.new(typed:, facts: {})
        end

        def leaf(part, surroundings)
          part.kind == :heading ? heading(part.label, surroundings) : words(part.text)
        end
      end
    end
  end
end
