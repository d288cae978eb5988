# frozen_string_literal: true

module Hobrin
  module Edits
    module Trail
      # What going back and going forth have in common: an earlier state is brought back by a line
      # of its own.
      class Going < Edit
        attributes

        def about(inquiry) = inquiry

        private

        # state :: the number of the line whose state comes back; line :: Trail::Line that this is
        #   about
        def bring(inquiry, surroundings, kind, state:, line:)
          restored = surroundings.trail.state_at(state).going_on_from(inquiry, surroundings.independent)
          Change.new(inquiry: restored, kind:, brings_back: state, step: line.step,
                     facts: { line: line.number, kind: line.kind.to_s, facts: line.facts })
        end

        def refuse(message) = raise(InputError, { undo: message })
      end
    end
  end
end
