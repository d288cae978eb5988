# frozen_string_literal: true

module Hobrin
  module Web
    # The flow of papers as boxes, as SVG, beside the same numbers as text.
    module FlowPictures
      WIDE = 210
      ASIDE = 300
      LINE = 15
      GAP = 18
      private_constant :WIDE, :ASIDE, :LINE, :GAP

      # steps :: Array of Pages::Act::FlowBoxes::Step
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
