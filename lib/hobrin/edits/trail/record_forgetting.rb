# frozen_string_literal: true

module Hobrin
  module Edits
    module Trail
      # Writes to the trail that a text was removed from it for good, and nothing of the text. Going back
      # passes it over.
      class RecordForgetting < Edit
        attributes

        def call(inquiry, surroundings)
          Change.new(inquiry:, kind: :text_forgotten, brings_back: surroundings.trail.history.present)
        end
      end
    end
  end
end
