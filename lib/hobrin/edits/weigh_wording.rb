# frozen_string_literal: true

module Hobrin
  module Edits
    # What Wording says of changes on Weigh.
    module WeighWording
      TEMPLATES = {
        outcome_written: "Outcome “%{name}”", outcome_dropped: "Took away the outcome “%{name}”",
        result_written: "Numbers for “%{name}” of “%{title}”",
        result_dropped: "Took away the numbers for “%{name}” of “%{title}”",
        result_taken_out: "Not counted for “%{name}”: “%{title}”",
        result_counted: "Counted again for “%{name}”: “%{title}”",
        trap_mended: "Mended for “%{name}”: “%{title}” %{says}",
        trap_counted: "Counted for “%{name}” in spite of it: “%{title}” %{says}",
        put_together: "“%{name}” put together: %{measure}, %{model}, %{level} %% intervals",
        finding_written: "Finding: %{text}", finding_dropped: "Took away the finding: %{text}"
      }.freeze
      # What several lines of one kind are together.
      SEVERAL = {
        outcome_written: "changes of outcomes", result_written: "results written down",
        result_taken_out: "results taken out",
        trap_mended: "traps mended", put_together: "changes of how to put together", certainty_judged: "reasons judged",
        finding_written: "findings written", finding_judged: "components judged"
      }.freeze

      class << self
        # "Certainty of “Delirium”, imprecision: −1, since …"
        def judged(facts)
          of = "“#{facts[:name] || facts[:text]}”, #{facts[:domain].downcase}"
          return "#{of}: as proposed" unless facts[:steps]

          steps = facts[:steps].zero? ? "no step" : facts[:steps].to_s.sub("-", "−")
          "#{of}: #{steps}, since #{facts[:why]}"
        end
      end
    end
  end
end
