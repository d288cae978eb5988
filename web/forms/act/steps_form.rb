# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Act
        # What a change needs, its steps by their rows, and its cycles. A row without words is none.
        class StepsForm < Form
          DAY = "Write a day, such as 2026-09-07."
          private_constant :DAY

          def edit
            needs = Brief::ActionPlan::MORE.keys.to_h { |name| [name, fields.text(name)] }
            Edits::Practice::PlanSteps.new(needs:, steps:, cycles:)
          end

          def after(_outcome)
            step = fields.one_of(:next, Inquiry::STEPS)
            step && step != :act ? After.new(step:) : After.new(list: { "show" => "steps" })
          end

          private

          def steps
            rows(:step, %i[on who what]).map do |row, place|
              done = fields.nested(:step_done).text(place) == "1"
              Brief::ActionPlan::Step.new(on: day(row[:on]), who: row[:who], what: row[:what], done:)
            end
          end

          def cycles
            rows(:cycle, Brief::ActionPlan::PdsaCycle::NAMES.keys).map { |row, _| Brief::ActionPlan::PdsaCycle.new(**row) }
          end

          # [Hash of name to text, place] of each row that says anything. Rows are sent as
          # step_on[0], step_who[0] …
          def rows(kind, names)
            most = kind == :step ? Brief::ActionPlan::Step::MOST : Brief::ActionPlan::PdsaCycle::MOST
            (0..most).filter_map do |place|
              row = names.to_h { |name| [name, fields.nested(:"#{kind}_#{name}").text(place.to_s)] }
              [row, place.to_s] if row.values.any? { |text| !text.strip.empty? }
            end
          end

          def day(text)
            Date.iso8601(text.strip) unless text.strip.empty?
          rescue Date::Error
            raise InputError, { steps: DAY }
          end
        end
      end
    end
  end
end
