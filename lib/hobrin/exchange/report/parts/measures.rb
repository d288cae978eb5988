# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # What is measured, and what the numbers say.
        class Measures < Part
          def call
            section(:measures, "Did it work?", acting.measures.map { |measure| told(measure) })
          end

          private

          def told(measure)
            chart = Brief::Chart.new(measure)
            [words("#{measure.name} (#{Brief::Measure::SORTS.fetch(measure.sort)})", :strong),
             (Pictures::RunChart.of(chart, measure) if chart.any?),
             items([chart.change, chart.difference, *chart.words].compact),
             grid(measure.name, ["From", "Counted", "That is"], chart.rows)]
          end
        end
      end
    end
  end
end
