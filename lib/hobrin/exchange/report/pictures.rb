# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      # The pictures of a report, as shapes that any writer can draw.
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

        # The flow of papers as boxes, each with what leaves to its side.
        module Flow
          extend Text::Numerals

          MAIN = 190
          ASIDE = 280
          LINE = 13
          private_constant :MAIN, :ASIDE, :LINE

          class << self
            # steps :: Array of Brief::Flow::Boxes::Step. Gives a Picture.
            def of(steps)
              heights = steps.map do |step|
                [step.main, step.aside].compact.map { |box| high(box) }.max
              end
              canvas = Canvas.new(Book.t("exports.picture.flow"), MAIN + ASIDE + 36,
                                  heights.sum + (14 * steps.size))
              top = 2
              steps.zip(heights).each_with_index do |(step, height), place|
                step(canvas, step, top, height, last: place == steps.size - 1)
                top += height + 14
              end
              canvas.picture
            end

            private

            def high(box) = 12 + (LINE * box.lines.size)

            def step(canvas, step, top, height, last:)
              box(canvas, step.main, 2, top, MAIN)
              canvas.line(97, top + high(step.main), 97, top + height + 14, "thin") unless last
              return unless step.aside

              canvas.line(MAIN + 2, top + 12, MAIN + 32, top + 12, "thin")
              box(canvas, step.aside, MAIN + 32, top, ASIDE)
            end

            def box(canvas, box, left, top, width)
              canvas.box(left, top, width, high(box))
              box.lines.each_with_index do |words, place|
                said = place.zero? ? "#{number(box.count)} #{words}" : words
                canvas.text(left + 8, top + 16 + (place * LINE), said,
                            place.zero? ? "strong" : "plain")
              end
            end
          end
        end

        # A hundred people without it and a hundred with it, as two fields of squares; those who
        # have what is counted are filled.
        module Hundred
          IN_ROW = 20
          SIDE = 9
          LETTERS = 24
          private_constant :IN_ROW, :SIDE, :LETTERS

          # row :: Appraisal::Findings::Row that has a hundred. Gives a Picture.
          def self.of(row)
            without, with = row.hundred.first(2).map { |share| (100 * share).round.clamp(0, 100) }
            canvas = Canvas.new(Book.t("exports.picture.hundred", outcome: row.outcome.name), 430, 75)
            arms = row.pool.arms
            field(canvas, 2, Book.t("exports.picture.per_100", group: short(arms.comparison_name), count: without), without)
            field(canvas, 222, Book.t("exports.picture.per_100", group: short(arms.intervention_name), count: with), with)
            canvas.picture
          end

          # So much of a name stands over a field.
          def self.short(name)
            name = "#{name[0, LETTERS].rstrip}…" if name.size > LETTERS
            name[0].upcase + name[1..]
          end
          private_class_method :short

          def self.field(canvas, left, words, filled)
            canvas.text(left, 12, words, "strong")
            100.times do |person|
              down, across = person.divmod(IN_ROW)
              canvas.box(left + (across * (SIDE + 1)), 20 + (down * (SIDE + 1)), SIDE, SIDE,
                         person < filled ? "filled" : "soft")
            end
          end
          private_class_method :field
        end

        # An address as a QR code (ISO/IEC 18004), to be read off a printed page.
        module Qr
          SIDE = 3
          # The quiet zone that the standard asks for.
          EDGE = 4
          private_constant :SIDE, :EDGE

          # address :: text. Gives a Picture.
          def self.of(address)
            require "rqrcode"
            rows = RQRCode::QRCode.new(address, level: :m).modules
            whole = (rows.size + (2 * EDGE)) * SIDE
            canvas = Canvas.new(Book.t("exports.picture.address"), whole, whole)
            rows.each_with_index do |row, down|
              runs(row).each do |from, length|
                canvas.box((from + EDGE) * SIDE, (down + EDGE) * SIDE, length * SIDE, SIDE, "solid")
              end
            end
            canvas.picture
          end

          # [first place, how many] of the dark runs in a row.
          def self.runs(row)
            row.each_with_index.chunk_while { |one, two| one.first == two.first }.filter_map do |run|
              [run.first.last, run.size] if run.first.first
            end
          end
          private_class_method :runs
        end
      end
    end
  end
end
