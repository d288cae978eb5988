# frozen_string_literal: true

module Hobrin
  module Web
    # A measure in time, as SVG, beside the table of its numbers.
    module ChartPictures
      # chart :: Brief::Measure::Chart
      def run_picture(chart)
        width, height = chart.frame
        drawing("0 0 #{width} #{height}",
                [chart_lines(chart, width, height), chart_points(chart), chart_notes(chart, height)].join, "run-chart")
      end

      private

      def chart_lines(chart, width, height)
        limits = chart.limits.map { |some| shape("polyline", "chart-limit", points: joined(some)) }
        middle = chart.middle ? across_at(chart.middle, "chart-middle", width) : ""
        target = chart.target ? across_at(chart.target, "chart-target", width) : ""
        limits.join + middle + target + chart_start(chart, height)
      end

      def chart_start(chart, height)
        return "" unless chart.start

        shape("line", "chart-start", x1: chart.start, y1: 6, x2: chart.start, y2: height - 24)
      end

      def across_at(y, name, width) = shape("line", name, x1: 60, y1: y, x2: width - 12, y2: y)
      def joined(pairs) = pairs.map { |pair| pair.join(",") }.join(" ")

      def chart_points(chart)
        line = shape("polyline", "chart-line", points: joined(chart.marks.map { |mark| [mark.x, mark.y] }))
        line + chart.marks.map do |mark|
          tag("circle", tag("title", h(mark.label)),
              class: mark.outside ? "chart-outside" : "chart-point", cx: mark.x, cy: mark.y, r: mark.outside ? 5 : 3.4)
        end.join
      end

      def chart_notes(chart, height)
        sides = chart.ticks.map { |y, words| note(words, 54, y + 4, "end") }
        begun = chart.start ? note("the change", chart.start + 4, height - 12) : ""
        sides.join + begun
      end
    end
  end
end
