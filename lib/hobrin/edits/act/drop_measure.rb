# frozen_string_literal: true

module Hobrin
  module Edits
    module Act
      # Takes a measure away, with its numbers.
      class DropMeasure < Edit
        STEP = :act
        attributes :measure_id

        def about(inquiry) = inquiry.acting.measure(measure_id)

        def call(inquiry, _surroundings)
          measure = inquiry.acting.measure(measure_id) || raise(GoneError, "measure")
          Change.new(inquiry: inquiry.with(acting: inquiry.acting.without_measure(measure_id)), kind: :measure_dropped,
                     facts: { name: measure.name })
        end
      end
    end
  end
end
