# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Pictures
        # A measure in time: its points, the median from before, the limits of chance, and where the
        # change began.
        module RunChart
          LEFT = 60
          private_constant :LEFT

          class << self
            # chart :: Brief::Measure::Chart; measure :: Brief::Measure. Gives a Picture.
            def of(chart, measure)
              width, height = chart.frame
              canvas = Canvas.new(Book.t("exports.picture.over_time", measure: measure.name), width, height)
              across(canvas, chart, width)
              chart.limits.each { |some| canvas.path(some, "dashed") }
              begun(canvas, chart, height)
              points(canvas, chart)
              canvas.picture
            end

            private

            def across(canvas, chart, width)
              chart.ticks.each { |y, words| canvas.number(LEFT - 6, y + 4, words) }
              canvas.line(LEFT, chart.middle, width - 12, chart.middle) if chart.middle
              canvas.line(LEFT, chart.target, width - 12, chart.target, "dotted") if chart.target
            end

            def begun(canvas, chart, height)
              return unless chart.start

              canvas.line(chart.start, 6, chart.start, height - 24, "strong")
              canvas.text(chart.start + 4, height - 12, Book.t("exports.picture.change"))
            end

            def points(canvas, chart)
              canvas.path(chart.marks.map { |mark| [mark.x, mark.y] }, "thin")
              chart.marks.each do |mark|
                canvas.dot(mark.x, mark.y, mark.outside ? 4.5 : 3,
                           mark.outside ? "alert" : "filled")
              end
            end
          end
        end
      end
    end
  end
end
