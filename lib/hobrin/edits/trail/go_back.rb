# frozen_string_literal: true

module Hobrin
  module Edits
    module Trail
      # Goes one change back, in whatever step it was made.
      class GoBack < Going
        # Raises InputError (:undo) at the beginning.
        def call(inquiry, surroundings)
          trail = surroundings.trail
          undo = trail.history.undo or refuse("Nothing to undo: this is where the inquiry began.")
          bring(inquiry, surroundings, :undone, state: trail.history.before, line: trail.line(undo))
        end
      end
    end
  end
end
