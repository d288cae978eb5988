# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Adds an author by name.
      class AddAuthor < Addition
        attributes :block, :name

        private

        def read(_surroundings) = Reading.of([InputError.at(FIELD) { Strategy::Author.read(name) }])
      end
    end
  end
end
