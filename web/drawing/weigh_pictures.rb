# frozen_string_literal: true

module Hobrin
  module Web
    # The larger pictures of Weigh, as SVG: small papers and large ones, papers on a test, and what
    # a result of a test means. Each stands beside a table of the same numbers.
    module WeighPictures
      # Where the people of a tree stand, and what is said of them.
      TREE = { people: [310, 18, "people"], ill: [155, 102, "have it"], well: [465, 102, "have it not"],
               found: [70, 172, "found"], missed: [230, 172, "missed"], alarmed: [390, 172, "false alarm"],
               cleared: [550, 172, "cleared"] }.freeze
      BRANCHES = { people: %i[ill well], ill: %i[found missed], well: %i[alarmed cleared] }.freeze
      private_constant :TREE, :BRANCHES

      # small :: Pages::Weigh::SmallPapers
      def funnel_picture(small)
        width, height = small.frame
        middle, top, bottom = small.middle_line
        edge = shape("polygon", "funnel-edge", points: small.funnel.map { |pair| pair.join(",") }.join(" "))
        line = shape("line", "forest-one", x1: middle, y1: top, x2: middle, y2: bottom)
        points = small.points.map { |point| paper_point(point, 5) }
        ticks = small.ticks.map { |x, words| note(words, x.round(1), height - 16, "middle") }
        ends = note("exact", 4, 12) + note("less exact", 4, bottom)
        drawing("0 0 #{width} #{height}", edge + line + points.join + ticks.join + ends, "funnel")
      end

      # roc :: Pages::Weigh::RocSpace
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
        knots = TREE.map { |name, (x, y, words)| knot(x, y, people.public_send(name), words) }
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
        ticks.join + note("false alarms of 100 well", roc.edge + (roc.side / 2), foot + 16,
                          "middle") +
          note("found, of 100 ill", 4, 12)
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
