# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Writers
        # A picture of a report, drawn on a page of a PDF.
        class PdfDrawing
          BLACK = "1B1B1B"
          WIDTHS = { "strong" => 1.6, "thin" => 0.5, "soft" => 0.5 }.freeze
          DASHES = { "dashed" => [4, 3], "dotted" => [1, 2] }.freeze
          LETTERS = 10
          private_constant :BLACK, :WIDTHS, :DASHES, :LETTERS

          # top :: where its upper edge is, from the bottom; scale :: points for a unit of the
          #   picture
          def initialize(document, top, scale)
            @document = document
            @top = top
            @scale = scale
          end

          # picture :: Picture
          def call(picture)
            picture.shapes.each do |kind, style, places, text|
              text ? words(kind, style, places, text) : shape(kind, style, places)
            end
          end

          private

          def shape(kind, style, places)
            light = %w[thin soft].include?(style)
            @document.stroke_color(light ? "888888" : BLACK)
            @document.fill_color(BLACK)
            @document.line_width((WIDTHS[style] || 0.9) * @scale)
            dashed(style) { drawn(kind, style, places) }
          end

          def dashed(style)
            return yield unless DASHES.key?(style)

            long, space = DASHES.fetch(style)
            @document.dash(long * @scale, space: space * @scale)
            yield
            @document.undash
          end

          def drawn(kind, style, places)
            case kind
            when "box" then finish(style) do
              @document.rectangle(at(*places.first(2)), *places.drop(2).map { |place| place * @scale })
            end
            when "dot" then finish(style) do
              @document.circle(at(*places.first(2)), places.last * @scale)
            end
            when "area" then finish(style) { @document.polygon(*pairs(places)) }
            else along(pairs(places))
            end
          end

          def finish(style)
            yield
            %w[filled solid].include?(style) ? @document.fill : @document.stroke
          end

          def along(points)
            @document.move_to(points.first)
            points.drop(1).each { |point| @document.line_to(point) }
            @document.stroke
          end

          def words(kind, style, places, text)
            left, top = at(*places)
            size = LETTERS * @scale
            left -= @document.width_of(text, size:) if kind == "number"
            @document.fill_color(BLACK)
            @document.draw_text(text, at: [left, top], size:,
                                      style: style == "strong" ? :bold : :normal)
          end

          def pairs(places) = places.each_slice(2).map { |x, y| at(x, y) }
          def at(x, y) = [x * @scale, @top - (y * @scale)]
        end
      end
    end
  end
end
