# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # The pictures of Appraise as SVG.
        module Pictures
          # What Weigh draws of papers put together, as SVG. Each stands beside a table of the same
          # numbers.
          module Pooled
            PEOPLE = 100
            IN_ROW = 20
            STEPS = 4
            private_constant :PEOPLE, :IN_ROW, :STEPS

            # One effect with its interval. mark :: Brief::Scale::Mark; nothing :: where no effect
            # is, or nil
            def forest_line(mark, nothing)
              half = mark.size
              square = shape("rect", "forest-square", x: (mark.middle - half).round(1), y: 10 - half,
                                                      width: half * 2, height: half * 2)
              line_picture(nothing, across("forest-line", mark) + square)
            end

            # The pooled value as a diamond, with the line of where a new study may lie. prediction may
            # be nil
            def forest_diamond(pooled, prediction, nothing)
              line = prediction ? across("forest-predicted", prediction) : ""
              line_picture(nothing, line + diamond(pooled.low, pooled.middle, pooled.high))
            end

            # ticks :: Array of [place, in words]
            def axis(ticks)
              marks = ticks.map do |place, words|
                anchor = "middle"
                anchor = "start" if place < 8
                anchor = "end" if place > 192
                shape("line", "forest-tick", x1: place, y1: 0, x2: place, y2: 4) +
                  tag("text", h(words), class: "forest-number", x: place, y: 15, "text-anchor": anchor)
              end
              base = shape("line", "forest-tick", x1: 0, y1: 0, x2: 200, y2: 0)
              drawing("0 0 200 20", base + marks.join)
            end

            # A share with its interval, from nobody to everybody. interval :: Statistics::Interval of
            # proportions
            def share_line(interval, pooled: false)
              low, middle, high = [interval.low, interval.estimate, interval.high].map do |share|
                (100 * share).round(1)
              end
              line = shape("line", "forest-line", x1: low, y1: 10, x2: high, y2: 10)
              square = shape("rect", "forest-square", x: middle - 3, y: 7, width: 6, height: 6)
              base = shape("line", "forest-tick", x1: 0, y1: 18, x2: 100, y2: 18)
              drawing("0 0 100 20", base + (pooled ? diamond(low, middle, high) : line + square))
            end

            # A hundred people: those who have it in either case, those who have it only without, only with,
            # and never. of :: anything with without and with, whole people of a hundred
            def people_picture(of)
              both, most = [of.without, of.with].minmax
              only = of.without > of.with ? "person-spared" : "person-more"
              marks = Array.new(PEOPLE) do |place|
                row, column = place.divmod(IN_ROW)
                name = place < most ? only : "person-none"
                name = "person-both" if place < both
                shape("circle", name, cx: (column * 12) + 6, cy: (row * 12) + 6, r: 4.4)
              end
              drawing("0 0 #{IN_ROW * 12} #{PEOPLE / IN_ROW * 12}", marks.join, "people")
            end

            # How sure, as a bar of four steps; the word stands beside it. level :: 1 to 4
            def certainty_bar(level)
              steps = Array.new(STEPS) do |place|
                shape("rect", place < level ? "sure-step" : "sure-open", x: (place * 12) + 1, y: 10 - (place * 3),
                                                                         width: 10, height: 5 + (place * 3))
              end
              drawing("0 0 50 16", steps.join, "sure")
            end

            private

            # inside :: safe markup; name :: the class of the whole, or nil
            def drawing(frame, inside, name = nil)
              tag("svg", inside, class: name, viewBox: frame, "aria-hidden": "true")
            end

            def shape(kind, name, **attributes) = tag(kind, "", class: name, **attributes)

            def across(name, mark) = shape("line", name, x1: mark.low, y1: 10, x2: mark.high, y2: 10)

            def line_picture(nothing, inside)
              one = nothing ? shape("line", "forest-one", x1: nothing, y1: 0, x2: nothing, y2: 20) : ""
              drawing("0 0 200 20", one + inside)
            end

            def diamond(low, middle, high)
              shape("polygon", "forest-diamond", points: "#{low},10 #{middle},3 #{high},10 #{middle},17")
            end
          end

          # The larger pictures of Weigh, as SVG: small papers and large ones, papers on a test, and what
          # a result of a test means. Each stands beside a table of the same numbers.
          module OfOutcomes
            # Where the people of a tree stand, and what is said of them.
            TREE = { people: [310, 18], ill: [155, 102], well: [465, 102], found: [70, 172], missed: [230, 172],
                     alarmed: [390, 172], cleared: [550, 172] }.freeze
            BRANCHES = { people: %i[ill well], ill: %i[found missed], well: %i[alarmed cleared] }.freeze
            private_constant :TREE, :BRANCHES

            # small :: Web::Steps::Appraise::SmallPapers
            def funnel_picture(small)
              width, height = small.frame
              middle, top, bottom = small.middle_line
              edge = shape("polygon", "funnel-edge", points: small.funnel.map { |pair| pair.join(",") }.join(" "))
              line = shape("line", "forest-one", x1: middle, y1: top, x2: middle, y2: bottom)
              points = small.points.map { |point| paper_point(point, 5) }
              ticks = small.ticks.map { |x, words| note(words, x.round(1), height - 16, "middle") }
              ends = note(Book.t("appraise.small.precise"), 4, 12) + note(Book.t("appraise.small.imprecise"), 4, bottom)
              drawing("0 0 #{width} #{height}", edge + line + points.join + ticks.join + ends, "funnel")
            end

            # roc :: Web::Steps::Appraise::Accuracy::RocSpace
            def roc_picture(roc)
              x, y = roc.middle
              frame = shape("rect", "roc-frame", x: roc.edge, y: roc.top, width: roc.side,
                                                 height: roc.side)
              regions = shape("polygon", "roc-predicted",
                              points: roc.predicted) + shape("polygon", "roc-region", points: roc.region)
              points = roc.points.map { |point| paper_point(point, point.size) }
              middle = shape("polygon", "forest-diamond", points: "#{x - 7},#{y} #{x},#{y - 7} " \
                                                                  "#{x + 7},#{y} #{x},#{y + 7}")
              drawing("0 0 #{roc.frame} #{roc.frame + 16}", frame + roc_axes(roc) + regions + points.join + middle,
                      "roc-picture")
            end

            # people :: Statistics::Accuracy::PredictiveValues
            def thousand_picture(people)
              lines = BRANCHES.flat_map do |from, ends|
                ends.map { |to| branch(TREE.fetch(from), TREE.fetch(to)) }
              end
              knots = TREE.map { |name, (x, y)| knot(x, y, people.public_send(name), Book.t("appraise.accuracy.tree.#{name}")) }
              drawing("0 0 620 190", lines.join + knots.join, "thousand")
            end

            private

            # A paper as a circle that says which one it is.
            def paper_point(point, size)
              tag("circle", tag("title", h(point.label)), class: "paper-point", cx: point.x, cy: point.y,
                                                          r: size)
            end

            # words :: anything; anchor :: where of it the place is
            def note(words, x, y, anchor = "start")
              tag("text", h(words), class: "forest-number", x:, y:, "text-anchor": anchor)
            end

            def roc_axes(roc)
              foot = roc.top + roc.side + 14
              ticks = roc.ticks.map do |share, words|
                note(words, roc.x(share), foot,
                     "middle") + note(words, roc.edge - 4, roc.y(share) + 4, "end")
              end
              ticks.join + note(Book.t("appraise.accuracy.x_axis"), roc.edge + (roc.side / 2), foot + 16,
                                "middle") +
                note(Book.t("appraise.accuracy.y_axis"), 4, 12)
            end

            def branch(from, to)
              shape("line", "forest-tick", x1: from[0], y1: from[1] + 9, x2: to[0], y2: to[1] - 20)
            end

            def knot(x, y, count, words)
              inside = "#{tag("tspan", h(count), class: "knot-count")} #{h words}"
              tag("text", inside, class: "knot", x:, y:, "text-anchor": "middle")
            end
          end
        end
      end
    end
  end
end
