# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Begins dual screening: from now on no decision holds until two people have made it. What was
      # decided before stays, outside of it. Going back passes this line over.
      #
      # readers :: the names of the two
      class ReadApart < Edit
        STEP = :sift
        attributes :readers

        def call(inquiry, surroundings)
          Change.new(inquiry:, kind: :read_apart, brings_back: surroundings.trail.history.present,
                     facts: { readers: readers.join(" and "), decisions: inquiry.decisions.size })
        end
      end
    end
  end
end
