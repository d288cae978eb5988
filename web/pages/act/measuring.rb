# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Act
        # Did it work? The measures, one of them open with its chart.
        class Measuring
          # page :: Act
          def initialize(page)
            @page = page
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

          def chart = open && @chart ||= Brief::Measure::Chart.new(open)
          def text(name) = @page.typed_or(name, open&.public_send(name).to_s)
          def sorts = @page.choices(:sort, Brief::Measure::SORTS, open&.sort || :outcome)
          def ways = @page.choices(:way, Brief::Measure::WAYS, open&.way || :share)
          # How many points before and after the change the chart needs.
          def fewest_before = Statistics::ControlChart::FEWEST
          def fewest_after = Statistics::RunChart::FEWEST

          def better
            [["", "Choose…", open&.better.nil?], *@page.choices(:better, Brief::Measure::BETTER, open&.better.to_s)]
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
