# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Limits to journals that the library has, by their names; several mean either.
      class PutJournals < Edit
        STEP = :narrow
        attributes :names

        def about(inquiry) = inquiry.limit(:journal)

        # Raises InputError (:journal).
        def call(inquiry, surroundings)
          raise InputError, { journal: "Write the name of a journal." } if names.empty?

          known = names.map { |name| surroundings.vocabulary.journal(name) }
          PutLimit.new(leaf: Strategy::Journal.new(values: known)).call(inquiry, surroundings)
        end
      end
    end
  end
end
