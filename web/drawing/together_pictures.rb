# frozen_string_literal: true

module Hobrin
  module Web
    # What Weigh draws of papers put together, as SVG. Each stands beside a table of the same
    # numbers.
    module TogetherPictures
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
          anchor = place < 8 ? "start" : (place > 192 ? "end" : "middle")
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
          name = place < both ? "person-both" : (place < most ? only : "person-none")
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
  end
end
