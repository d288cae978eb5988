# frozen_string_literal: true

module Hobrin
  module Edits
    module Trail
      # Makes the inquiry what it was after one line of its trail; named lines stay.
      #
      # number :: of the line
      class Restore < Edit
        attributes :number

        def about(inquiry) = inquiry

        # Raises GoneError when there is no such line.
        def call(inquiry, surroundings)
          restored = surroundings.trail.state_at(number).going_on_from(inquiry, surroundings.independent)
          Change.new(inquiry: restored.with(lines: inquiry.lines), kind: :line_restored,
                     facts: { line: number })
        end
      end
    end
  end
end
