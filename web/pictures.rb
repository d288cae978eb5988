# frozen_string_literal: true

module Hobrin
  module Web
    # Small drawings as SVG, sized by attributes since the page allows no styles of its own.
    module Pictures
      ICONS = File.join(__dir__, "public/vendor/bootstrap-icons")
      KNOWN_ICONS = Dir.glob(File.join(ICONS, "*.svg")).to_h do |path|
        [File.basename(path, ".svg"),
         File.read(path).sub(/<svg xmlns="[^"]+"/, '<svg aria-hidden="true" focusable="false"').freeze]
      end.freeze
      private_constant :ICONS, :KNOWN_ICONS

      # An icon, always beside a word.
      def icon(name) = KNOWN_ICONS.fetch(name)

      # A bar of a term: how much of its block it finds, and in full colour what only it finds.
      # Figures :: Integers; whole :: the length of the track
      def bar(size, alone, whole, key)
        scale = ->(count) { whole.zero? ? 0 : (100.0 * [count, whole].min / whole).round(2) }
        shapes = [["track", 100], ["found ink-#{key}", scale.call(size)], ["alone ink-#{key}", scale.call(alone)]]
        rects = shapes.map { |name, width| %(<rect class="#{name}" width="#{width}" height="6" rx="1.5"/>) }
        picture("bar", "0 0 100 6", rects.join)
      end

      # One step of the cascade: its bar, centred, and the slope to the next one. Widths on a log scale.
      # size, following, largest :: numbers of papers; following is nil for the last step
      def cascade_bar(size, following, largest, name)
        half = log_share(size, largest) * 50
        slope = following && (log_share(following, largest) * 50)
        from = (50 - half).round(2)
        shapes = %(<rect class="#{name}" x="#{from}" y="0" width="#{(half * 2).round(2)}" height="30"/>)
        shapes += %(<polygon class="slope #{name}" points="#{slope_points(half, slope)}"/>) if slope
        picture("cascade-bar", "0 0 100 44", shapes)
      end

      # The count against the aim, on a log scale from 1 to `largest`.
      def aim_scale(count, aim, largest)
        x = ->(papers) { (100 * Math.log([papers, 1].max) / Math.log(largest)).round(2) }
        from = x.call(aim.from)
        shapes = [%(<rect class="track" width="100" height="20"/>),
                  %(<rect class="band" x="#{from}" width="#{(x.call(aim.to) - from).round(2)}" height="20"/>),
                  %(<rect class="needle" x="#{[x.call(count) - 0.5, 0].max.round(2)}" y="-3" width="1" height="26"/>)]
        picture("aim-scale", "0 -3 100 26", shapes.join)
      end

      # Two or three sets as circles. circles :: Statistics::Circles; keys :: of the blocks; letters :: to write in, or nil
      def overlap_circles(circles, keys, letters = nil)
        shapes = circles.circles.zip(keys).map do |circle, key|
          %(<circle class="set ink-#{tone(key)}" cx="#{circle.x.round(3)}" cy="#{circle.y.round(3)}" r="#{circle.radius.round(3)}"/>)
        end
        names = (letters || []).zip(circles.circles).map { |letter, circle| set_name(letter, circle, circles.circles) }
        %(<svg class="overlap" viewBox="#{frame_of(circles.circles)}" aria-hidden="true">#{(shapes + names).join}</svg>)
      end

      # More sets as bars: what each finds, and what of it is in all.
      def overlap_bars(overlap, keys)
        largest = [*overlap.sizes, 1].max
        bars = overlap.sizes.zip(keys).each_with_index.map do |(size, key), place|
          %(<rect class="found ink-#{tone(key)}" y="#{place * 12}" width="#{(100.0 * size / largest).round(2)}" height="9"/>) +
            %(<rect class="ink-#{tone(key)}" y="#{place * 12}" width="#{(100.0 * overlap.all / largest).round(2)}" height="9"/>)
        end
        %(<svg class="overlap bars" viewBox="0 0 100 #{[overlap.sizes.size * 12,
                                                        12].max}" preserveAspectRatio="none" aria-hidden="true">#{bars.join}</svg>)
      end

      private

      def frame_of(circles)
        left, top = circles.map { |one| one.x - one.radius }.min, circles.map { |one| one.y - one.radius }.min
        right, bottom = circles.map { |one| one.x + one.radius }.max, circles.map { |one| one.y + one.radius }.max
        [left - 0.02, top - 0.02, right - left + 0.04, bottom - top + 0.04].map { |number| number.round(3) }.join(" ")
      end

      # On the side away from the others.
      def set_name(letter, circle, all)
        middle = [all.sum(&:x) / all.size, all.sum(&:y) / all.size]
        away = [circle.x - middle.first, circle.y - middle.last]
        length = Math.hypot(*away)
        x, y = [circle.x, circle.y].zip(away).map do |at, side|
          at + (length.zero? ? 0 : side / length * circle.radius * 0.55)
        end
        %(<text x="#{x.round(3)}" y="#{y.round(3)}" font-size="0.22">#{h letter}</text>)
      end

      # A drawing that fills its place; its numbers stand beside it in text.
      def picture(name, view, shapes)
        %(<svg class="#{name}" viewBox="#{view}" preserveAspectRatio="none" aria-hidden="true">#{shapes}</svg>)
      end

      # 0 for nothing, a little for 1 so that it can be seen, 1 for the largest.
      def log_share(count, largest) = count.zero? ? 0.0 : Math.log(count + 1) / Math.log([largest, 2].max + 1)

      def slope_points(half, slope)
        corners = [[50 - half, 30], [50 + half, 30], [50 + slope, 44], [50 - slope, 44]]
        corners.map { |x, y| "#{x.round(2)},#{y}" }.join(" ")
      end
    end
  end
end
