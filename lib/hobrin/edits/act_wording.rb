# frozen_string_literal: true

module Hobrin
  module Edits
    # What Wording says of changes on Act.
    module ActWording
      TEMPLATES = {
        brief_written: "Wrote the conclusion and the change plan",
        deliberated: "Wrote what speaks for and against", decided: "Decided: %{decision}",
        measure_written: "Measure “%{name}”, %{points} numbers", measure_dropped: "Took away the measure “%{name}”"
      }.freeze
      # What several lines of one kind are together.
      SEVERAL = { brief_written: "changes of the brief", measure_written: "changes of measures" }.freeze
    end
  end
end
