# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # What the change needs, its steps, and what was learnt in small cycles.
        class Change < Part
          def call
            section(:change, "The change, step by step", needs, steps, cycles)
          end

          private

          def needs
            rows = Brief::ChangePlan::MORE.filter_map do |name, prompt|
              text = brief.plan.public_send(name)
              [prompt, text] unless text.empty?
            end
            named("What it needs", ["", ""], rows)
          end

          def named(name, columns, rows)
            [(words(name, :strong) if rows.any?), grid(name, columns, rows)]
          end

          def steps
            rows = acting.steps.map do |step|
              [step.on ? day(step.on.iso8601) : "", step.who, step.what, step.done ? "done" : ""]
            end
            named("Steps", %w[By Who What Done], rows)
          end

          def cycles
            rows = acting.cycles.map { |cycle| [cycle.plan, cycle.did, cycle.saw, cycle.next_time] }
            named("Small cycles", Brief::Cycle::NAMES.values, rows)
          end
        end
      end
    end
  end
end
