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

        def read(surroundings)
          list = Strategy::PastedList.read(text, thesaurus: surroundings.evaluator.thesaurus,
                                                 vocabulary: surroundings.vocabulary)
          refuse(list.refused.map do |entry, why|
            "“#{entry}”: #{why}"
          end.join(" ")) if list.leaves.empty?

          Reading.new(typed: list.leaves.to_h do |leaf|
            [leaf, nil]
          end, facts: { refused: list.refused })
        end
      end
    end
  end
end
