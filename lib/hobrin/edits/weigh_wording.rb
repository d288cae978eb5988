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
        weigh_apart: "%{readers} appraise the papers independently from now on (appraised before, outside: %{papers})",
        finding_written: "Finding: %{text}", finding_dropped: "Took away the finding: %{text}"
      }.freeze
      # Of so many points a line tells what each said; its facts have them all.
      TOLD = 3
      private_constant :TOLD
      # What several lines of one kind are together.
      SEVERAL = {
        outcome_written: "changes of outcomes", result_written: "results written down",
        result_taken_out: "results taken out",
        weighed_twice: "papers weighed twice", sheet_settled: "sheets settled",
        trap_mended: "traps mended", put_together: "changes of how to put together", certainty_judged: "reasons judged",
        finding_written: "findings written", finding_judged: "components judged"
      }.freeze

      class << self
        # "Settled the sheet of “Earplugs …”: by chance? Ann yes, Bo no: yes"
        def twice(kind, facts)
          first, second = facts[:readers]
          return "#{first} and #{second} weighed “#{facts[:title]}” alike" if kind == :weighed_twice

          points = facts[:differed].first(TOLD).map do |name, one, other, holds|
            "#{name} #{first} #{one.downcase}, #{second} #{other.downcase}: #{holds.downcase}"
          end
          more = facts[:differed].size - points.size
          points << "and #{more} more" if more.positive?
          "Settled the sheet of “#{facts[:title]}”: #{points.join("; ")}"
        end

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
