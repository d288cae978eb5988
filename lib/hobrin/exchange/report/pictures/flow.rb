# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Pictures
        # The flow of papers as boxes, each with what leaves to its side.
        module Flow
          extend Text::Numerals

          MAIN = 190
          ASIDE = 280
          LINE = 13
          private_constant :MAIN, :ASIDE, :LINE

          class << self
            # steps :: Array of Brief::FlowBoxes::Step. Gives a Picture.
            def of(steps)
              heights = steps.map do |step|
                [step.main, step.aside].compact.map { |box| high(box) }.max
              end
              canvas = Canvas.new("Flow of papers as boxes", MAIN + ASIDE + 36,
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
      end
    end
  end
end
