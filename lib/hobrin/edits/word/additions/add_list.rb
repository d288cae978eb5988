# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Adds a list that was pasted, see Strategy::PastedList. What cannot be read is told in the
      # facts as `refused`, an Array of [entry, why]; the others are added. Raises InputError
      # (:list) when none can be.
      class AddList < Addition
        FIELD = :list
        attributes :block, :text

        private

        def read(surroundings) = listed(text, surroundings)
      end
    end
  end
end
