# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Puts a published study filter on.
      #
      # label :: such as "treatment/balanced"
      class PutFilter < Edit
        STEP = :narrow
        attributes :label

        def about(inquiry) = inquiry.limit(:filter)

        # Raises InputError (:filter).
        def call(inquiry, surroundings)
          PutLimit.new(leaf: surroundings.vocabulary.filter(label)).call(inquiry, surroundings)
        end
      end
    end
  end
end
