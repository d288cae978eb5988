# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Adds what a person typed. Without operators it is read by the thesaurus: the longest names it
      # knows as headings, the rest as words; with them as Strategy::Entry has it.
      class AddTyped < Addition
        attributes :block, :typed

        private

        def read(surroundings)
          return listed(typed, surroundings) if Strategy::PastedList.cql?(typed)

          entry = entry(surroundings)
          refuse(entry.why) unless entry.read?
          return listed(typed, surroundings) unless entry.plain?

          parts = Thesaurus::Reading.new(surroundings.evaluator.thesaurus).call(typed)
          refuse("Write a name for this: a word, a phrase, or several.") if parts.empty?

          Reading.new(typed: parts.to_h { |part| [leaf(part, surroundings), part.text] })
        end

        def entry(surroundings)
          whole = ->(text) { !surroundings.evaluator.thesaurus.named(text).nil? }
          InputError.at(FIELD) { Strategy::Entry.read(typed, known: known(surroundings), whole:) }
        end

        def leaf(part, surroundings)
          part.kind == :heading ? heading(part.label, surroundings) : words(part.text)
        end
      end
    end
  end
end
