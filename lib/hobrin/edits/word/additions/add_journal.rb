# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Adds a journal that the library has, by its name.
      class AddJournal < Addition
        attributes :block, :name

        private

        def read(surroundings)
          Reading.of([Strategy::Journal.named(InputError.at(FIELD) { surroundings.vocabulary.journal(name) })])
        end
      end
    end
  end
end
