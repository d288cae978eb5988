# frozen_string_literal: true

module Hobrin
  module Edits
    module Trail
      # Brings back what was undone last.
      class GoForth < Going
        # Raises InputError (:undo) when nothing was undone.
        def call(inquiry, surroundings)
          number = surroundings.trail.history.redo or refuse("Nothing was undone.")
          bring(inquiry, surroundings, :done_again, state: number,
                                                    line: surroundings.trail.line(number))
        end
      end
    end
  end
end
