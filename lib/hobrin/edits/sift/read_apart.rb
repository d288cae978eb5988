# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Begins reading papers twice: no decision holds until two have made it.
      #
      # readers :: the names of the two
      class ReadApart < Edit
        STEP = :sift
        attributes :readers

        def call(inquiry, _surroundings)
          Change.new(inquiry: inquiry.with(decisions: []), kind: :read_apart,
                     facts: { readers: readers.join(" and "), decisions: inquiry.decisions.size })
        end
      end
    end
  end
end
