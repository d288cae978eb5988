# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Terms
        # How the blocks lie over each other.
        module Overlap
          # How the blocks lie over each other, as a picture and as numbers.
          class Panel
            include Formatting

            # page :: Word; overlap :: Services::Terms::Read::Overlap
            def initialize(page, overlap)
              @page = page
              @overlap = overlap
              freeze
            end

            def circles = @overlap.circles
            def sets = @overlap.sets
            def keys = @overlap.blocks.map(&:key)
            def several? = keys.size > 1
            def letters = keys.map { |key| @page.letter(key) }

            # Each pair of blocks and what they share: [one letter, other letter, papers].
            def pairs = sets.pairs.map { |(one, two), size| [letters[one], letters[two], size] }

            # Every number of the picture: [what, papers].
            def rows
              each = letters.zip(sets.sizes)
              two = pairs.map { |one, other, size| [Book.t("terms.overlap.pair", one:, other:), size] }
              all = keys.size > 2 ? [[Book.t("terms.overlap.all", blocks: keys.size), sets.all]] : []
              alone = sets.regions.select { |places, _| places.size == 1 }
              [*each, *two, *all, *alone.map { |(place), size| [Book.t("terms.overlap.only", letter: letters[place]), size] }]
            end

            # How true the picture is.
            def remark
              return Book.t("terms.overlap.bars") unless circles
              return Book.t("terms.overlap.true_areas") if keys.size == 2

              Book.t("terms.overlap.approximate", error: points(circles.error))
            end
          end

          # How blocks lie over each other, as SVG: circles in true proportion for two or three, bars for
          # more.
          module Pictures
            BAR = 12
            private_constant :BAR

            # The picture that fits. panel :: Web::Steps::Terms::Overlap::Panel; names :: whether the letters are
            # written in
            def overlap_picture(panel, names: false)
              return overlap_bars(panel.sets, panel.keys) unless panel.circles

              overlap_circles(panel.circles, panel.keys, (panel.letters if names))
            end

            # circles :: Statistics::Circles; keys :: of the blocks; letters :: to write in, or nil
            def overlap_circles(circles, keys, letters = nil)
              drawn = circles.circles
              shapes = drawn.zip(keys).map do |one, key|
                x, y, radius = [one.x, one.y, one.radius].map { |number| number.round(3) }
                %(<circle class="set ink of-#{tone(key)}" cx="#{x}" cy="#{y}" r="#{radius}"/>)
              end
              names = (letters || []).zip(drawn).map { |letter, one| set_name(letter, one, drawn) }
              %(<svg class="overlap" viewBox="#{frame_of(drawn)}" aria-hidden="true">#{(shapes + names).join}</svg>)
            end

            # What each block finds, and, in full colour, what of it is in all. overlap ::
            # Retrieval::BlockFigures::Overlap
            def overlap_bars(overlap, keys)
              largest = [*overlap.sizes, 1].max
              bars = overlap.sizes.zip(keys).each_with_index.flat_map do |(size, key), place|
                [["found ink of-#{tone(key)}", size],
                 ["ink of-#{tone(key)}", overlap.all]].map do |name, papers|
                  %(<rect class="#{name}" y="#{place * BAR}" width="#{(100.0 * papers / largest).round(2)}" height="9"/>)
                end
              end
              height = [overlap.sizes.size, 1].max * BAR
              frame = %(viewBox="0 0 100 #{height}" preserveAspectRatio="none")
              %(<svg class="overlap" #{frame} aria-hidden="true">#{bars.join}</svg>)
            end

            private

            def frame_of(circles)
              left, top = circles.map { |circle| circle.x - circle.radius }.min, circles.map { |circle| circle.y - circle.radius }.min
              right, bottom = circles.map { |circle| circle.x + circle.radius }.max, circles.map { |circle| circle.y + circle.radius }.max
              [left - 0.02, top - 0.02, right - left + 0.04, bottom - top + 0.04].map { |number| number.round(3) }.join(" ")
            end

            # Written on the side away from the others.
            def set_name(letter, circle, all)
              middle = [all.sum(&:x) / all.size, all.sum(&:y) / all.size]
              away = [circle.x - middle.first, circle.y - middle.last]
              length = Math.hypot(*away)
              x, y = [circle.x, circle.y].zip(away).map do |at, side|
                (at + (length.zero? ? 0 : side / length * circle.radius * 0.55)).round(3)
              end
              %(<text x="#{x}" y="#{y}" font-size="0.22">#{h letter}</text>)
            end
          end
        end
      end
    end
  end
end
