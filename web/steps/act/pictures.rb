# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Act
        # The pictures of Act as SVG.
        module Pictures
          # A measure in time, as SVG, beside the table of its numbers.
          module Charts
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
              begun = chart.start ? note(Book.t("act.measures.change"), chart.start + 4, height - 12) : ""
              sides.join + begun
            end
          end

          # The flow of papers as boxes, as SVG, beside the same numbers as text.
          module Flow
            WIDE = 210
            ASIDE = 300
            LINE = 15
            GAP = 18
            private_constant :WIDE, :ASIDE, :LINE, :GAP

            # steps :: Array of Brief::Flow::Boxes::Step
            def flow_picture(steps)
              top = 2
              parts = steps.each_with_index.map do |step, place|
                high = [flow_height(step.main), flow_height(step.aside)].max
                drawn = flow_step(step, top, high, last: place == steps.size - 1)
                top += high + GAP
                drawn
              end
              drawing("0 0 #{WIDE + ASIDE + 40} #{top}", parts.join, "flow-picture")
            end

            private

            def flow_height(box) = box ? 14 + (LINE * [box.lines.size, 1].max) : 0

            def flow_step(step, top, high, last:)
              main = flow_box(step.main, 2, top, WIDE)
              from = top + flow_height(step.main)
              down = last ? "" : shape("line", "forest-tick", x1: 107, y1: from, x2: 107, y2: top + high + GAP)
              return main + down unless step.aside

              across = shape("line", "forest-tick", x1: WIDE + 2, y1: top + 14, x2: WIDE + 36, y2: top + 14)
              main + down + across + flow_box(step.aside, WIDE + 36, top, ASIDE)
            end

            def flow_box(box, x, top, width)
              lines = box.lines.each_with_index.map do |text, place|
                words = place.zero? ? "#{tag("tspan", h(number(box.count)), class: "flow-count")} #{h text}" : h(text)
                tag("text", words, class: "flow-words", x: x + 8, y: top + 19 + (place * LINE))
              end
              shape("rect", "flow-box", x:, y: top, width:, height: flow_height(box), rx: 6) + lines.join
            end
          end
        end
      end
    end
  end
end
