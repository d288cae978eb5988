# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Pictures
        # Collects the shapes of a drawing. A shape is [kind, style, places, text]: places are
        # x1, y1, x2, y2 for a "line", x, y, width, height for a "box", x, y, radius for a "dot",
        # x, y for "text" and "number" (which stands to the left of its place), any number of
        # x, y for a "path" and an "area".
        # Styles: "plain", "thin", "strong", "dashed", "dotted", "filled", "solid" (without an
        # edge), "soft", "alert".
        class Canvas
          def initialize(name, width, height)
            @name, @width, @height = [name, width, height]
            @shapes = []
          end

          def line(x1, y1, x2, y2, style = "plain") = add("line", style, [x1, y1, x2, y2])
          def box(x, y, width, height, style = "thin") = add("box", style, [x, y, width, height])
          def dot(x, y, radius, style = "filled") = add("dot", style, [x, y, radius])
          def path(places, style = "plain") = add("path", style, places.flatten)
          def area(places, style = "filled") = add("area", style, places.flatten)
          def text(x, y, words, style = "plain") = add("text", style, [x, y], words)
          def number(x, y, words, style = "plain") = add("number", style, [x, y], words)

          # Gives a Picture.
          def picture = Picture.new(name: @name, width: @width, height: @height, shapes: @shapes)

          private

          def add(kind, style, places, words = nil)
            @shapes << [kind, style, places.map { |place| place.to_f.round(1) }, words]
            self
          end
        end
      end
    end
  end
end
