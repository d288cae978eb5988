# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Act
        # Decision, action plan and measures, as Act shows them.
        module Plan
          # Shall we? What speaks for and against a change, line by line, and what is decided.
          class Deliberation
            # A line: marks :: Array of [mark, in words, whether it is set]; hint :: what the
            #   findings say of it, or nothing
            class Line < Value
              attributes :key, :name, :marks, :text, :hint
            end

            # page :: Act
            def initialize(page)
              @page = page
              @acting = page.inquiry.acting
              freeze
            end

            def lines = Brief::Acting::Consideration::ALL.map { |key, name| line(key, name) }

            # [key, name, whether it is chosen]
            def decisions
              chosen = @page.typed_or(:decision, @acting.decision)
              [["", Book.t("act.plan.not_decided"), chosen.empty?]] +
                Brief::Acting::Consideration::DECISIONS.map { |key, name| [key, name, key == chosen] }
            end

            def decided = Brief::Acting::Consideration::DECISIONS[@acting.decision]

            private

            def line(key, name)
              stored = @acting.consideration(key)
              mark = @page.refused?(:marks) ? @page.fields.nested(:marks).text(key) : stored.mark.to_s
              text = @page.refused?(:lines) ? @page.fields.nested(:lines).text(key) : stored.line
              marks = Brief::Acting::Consideration::MARKS.map { |value, words| [value, words, value.to_s == mark] }
              Line.new(key:, name:, marks:, text:, hint: hint(key))
            end

            # Only what the evidence says is filled in; the rest is for people.
            def hint(key)
              case key
              when :benefit then words(:benefit)
              when :harm then words(:harm)
              when :certainty then findings.map { |row| certainty(row) }.join("; ")
              else ""
              end
            end

            def findings = @page.findings.rows.select(&:words)
            def words(side) = findings.select { |row| row.side == side }.map(&:words).join("; ")

            # What is neither a benefit nor a harm is said here.
            def certainty(row)
              facts = { outcome: row.outcome.name, certainty: row.certainty.word }
              row.side ? Book.t("act.plan.outcome", **facts) : Book.t("act.plan.outcome_without_side", **facts, words: row.words)
            end
          end

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
              freeze
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

          # Did it work? The measures, one of them open with its chart.
          class Measuring
            # The chart of the measure that is open, nil for none.
            attr_reader :chart

            # page :: Page
            def initialize(page)
              @page = page
              @chart = open && Brief::Measure::Chart.new(open)
              freeze
            end

            def all = @page.inquiry.acting.measures

            # [Brief::Measure, path, what its numbers say, whether it is open]
            def list
              all.map do |measure|
                [measure, @page.path(:act, show: "measures", measure: measure.id), Brief::Measure::Reading.new(measure).in_short,
                 measure == open]
              end
            end

            def path_to_fresh = @page.path(:act, show: "measures", measure: "new")

            # The measure that is open; nil for a new one.
            def open
              number = @page.fields.number(:measure)
              return @page.inquiry.acting.measure(number) if number.is_a?(Integer)

              all.first unless @page.fields.some_text(:measure) || @page.errors.any?
            end

            def text(name) = @page.typed_or(name, open&.public_send(name).to_s)
            def sorts = @page.choices(:sort, Brief::Measure::SORTS, open&.sort || :outcome)
            def ways = @page.choices(:way, Brief::Measure::WAYS, open&.way || :share)
            # How many points before and after the change the chart needs.
            def fewest_before = Statistics::ControlChart::FEWEST
            def fewest_after = Statistics::RunChart::FEWEST

            def better
              [["", Book.t("common.choose"), open&.better.nil?], *@page.choices(:better, Brief::Measure::BETTER, open&.better.to_s)]
            end

            def target = @page.typed_or(:target, open&.target ? format("%g", open.target) : "")
            def started = @page.typed_or(:started, open&.started&.iso8601.to_s)

            # The numbers as they can be pasted again.
            def numbers
              lines = (open&.points || []).map do |point|
                [point.day.iso8601, point.of ? point.events : format("%g", point.events),
                 point.of].compact.join("; ")
              end
              @page.typed_or(:numbers, lines.join("\n"))
            end
          end
        end
      end
    end
  end
end
