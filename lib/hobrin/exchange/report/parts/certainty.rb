# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # How certain each outcome is and why: every reason that rated it down or up, with its
        # numbers and what a person wrote, and the reasons that did not.
        class Certainty < Part
          STEPS = { -2 => "rated down two levels", -1 => "rated down one level", 1 => "rated up one level",
                    2 => "rated up two levels" }.freeze
          private_constant :STEPS

          def call
            rows = material.table.rows.select(&:certainty)
            section(:certainty, "Certainty, and why", rows.flat_map { |row| outcome(row) })
          end

          private

          def outcome(row)
            certainty = row.certainty
            moved, unmoved = certainty.lines.partition { |line| !line.steps.zero? || line.judgement }
            [words("#{row.outcome.name}: #{certainty.word} certainty", :strong), words(certainty.start_why),
             items(moved.map { |line| reason(certainty, line) }), words(kept(unmoved))]
          end

          def reason(certainty, line)
            steps = line.steps.zero? ? "not rated down" : STEPS.fetch(line.steps)
            steps = "#{steps}, not counted" unless certainty.counts?(line)
            "#{name(line)}: #{steps}. #{line.why}#{judged(line)}"
          end

          def judged(line)
            " Set by a person: #{line.judgement.why}" if line.judgement
          end

          def kept(lines)
            names = lines.reject(&:up?).map { |line| name(line).downcase }
            "Not rated down for: #{names.join(", ")}." if names.any?
          end

          def name(line) = Appraisal::Certainty::DOMAINS.fetch(line.domain)
        end
      end
    end
  end
end
