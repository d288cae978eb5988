# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Act
        # Step by step: what the change needs, its steps and its small cycles, each with rows to
        # fill.
        class Steps
          # Rows that are empty beside those that are written.
          EMPTY = 2
          private_constant :EMPTY

          # A row of the steps: place :: its number in the form; late :: whether its day is past
          class Row < Value
            attributes :place, :on, :who, :what, :done, :late
          end

          # A cycle: cells :: Array of [field, name, text]
          class CycleRow < Value
            attributes :place, :cells
          end

          # page :: Act
          def initialize(page)
            @page = page
            @inquiry = page.inquiry
          end

          def needs = @page.prompted(Brief::ActionPlan::MORE)

          def rows
            stored = @inquiry.acting.steps
            count = [stored.size + EMPTY, Brief::ActionPlan::Step::MOST].min
            (0...count).map { |place| row(place, stored[place]) }
          end

          def cycles
            stored = @inquiry.acting.cycles
            count = [stored.size + 1, Brief::ActionPlan::PdsaCycle::MOST].min
            (0...count).map { |place| CycleRow.new(place:, cells: cells(place, stored[place])) }
          end

          # Whether the days can be saved for a calendar.
          def days?
            steps = @inquiry.acting.steps.reject(&:done)
            !@inquiry.plan.look_again_on.nil? || steps.any?(&:on)
          end

          private

          # [field, name, text]
          def cells(place, cycle)
            Brief::ActionPlan::PdsaCycle::NAMES.map do |name, words|
              field = "cycle_#{name}"
              ["#{field}[#{place}]", words, sent(field, place, cycle&.public_send(name))]
            end
          end

          def row(place, step)
            done = typed?("step_what") ? nested("step_done", place) == "1" : step&.done
            late = step&.on && !step.done && step.on < @page.today
            Row.new(place:, done:, late:, on: sent("step_on", place, step&.on&.iso8601),
                    who: sent("step_who", place, step&.who),
                    what: sent("step_what", place, step&.what))
          end

          # What was typed and refused, or what is stored.
          def sent(name, place, stored) = typed?(name) ? nested(name, place) : stored.to_s
          def typed?(name) = @page.refused?(name.to_sym)
          def nested(name, place) = @page.fields.nested(name.to_sym).text(place.to_s)
        end
      end
    end
  end
end
