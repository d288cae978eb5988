# frozen_string_literal: true

module Hobrin
  module Edits
    # What Wording says of changes on Act.
    module ActWording
      TEMPLATES = {
        brief_written: "Wrote the conclusion and the change plan",
        deliberated: "Wrote what speaks for and against", decided: "Decided: %{decision}",
        measure_written: "Measure “%{name}”, %{points} numbers", measure_dropped: "Took away the measure “%{name}”",
        steps_planned: "Planned %{steps} steps, %{done} done, and %{cycles} small cycles",
        brief_signed: "%{name} signed off the brief, version %{version}",
        brief_signed_despite: "%{name} signed off the brief, version %{version}, with %{gaps} points open: %{reason}"
      }.freeze
      # What several lines of one kind are together.
      SEVERAL = { brief_written: "changes of the brief", measure_written: "changes of measures",
                  steps_planned: "changes of the steps" }.freeze
    end
  end
end
