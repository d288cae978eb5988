# frozen_string_literal: true

module Hobrin
  module Web
    # Small drawings as SVG, sized by attributes since the page allows no styles of its own.
    module Pictures
      ICONS = File.join(__dir__, "public/vendor/bootstrap-icons")
      KNOWN_ICONS = Dir.glob(File.join(ICONS, "*.svg")).to_h do |path|
        [File.basename(path, ".svg"),
         File.read(path).sub(/<svg xmlns="[^"]+"/,
                             '<svg aria-hidden="true" focusable="false"').freeze]
      end.freeze
      OFFERS = { Strategy::Heading => %w[heading bookmark], Strategy::Author => %w[author person],
                 Strategy::Journal => %w[journal journal-text], Strategy::TextTerm => %w[words quote] }.freeze
      private_constant :ICONS, :KNOWN_ICONS, :OFFERS

      # An icon, always beside a word.
      def icon(name) = KNOWN_ICONS.fetch(name)

      # What an offer is, as a form names it, and the icon of that. offer ::
      # Retrieval::TermOffers::Offer
      def offer_kind(offer) = OFFERS.fetch(offer.leaf.class).first
      def offer_icon(offer) = OFFERS.fetch(offer.leaf.class).last

      # What an offer would add, or that it finds nothing.
      def offer_adds(offer)
        return Book.t("common.offers.held") if offer.held

        offer.finds? ? Book.t("common.offers.adds", papers: offer.adds) : Book.t("common.offers.finds_nothing")
      end

      # A bar of a term: how much of its block it finds, and in full colour what only it finds.
      # Figures :: Integers; whole :: the length of the track
      def bar(size, alone, whole, key)
        scale = ->(count) { whole.zero? ? 0 : (100.0 * [count, whole].min / whole).round(2) }
        shapes = [["track", 100], ["found ink of-#{key}", scale.call(size)],
                  ["alone ink of-#{key}", scale.call(alone)]]
        rects = shapes.map do |name, width|
          %(<rect class="#{name}" width="#{width}" height="6" rx="1.5"/>)
        end
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
        needle = [x.call(count) - 0.5, 0].max.round(2)
        shapes = [%(<rect class="track" width="100" height="20"/>),
                  %(<rect class="band" x="#{from}" width="#{(x.call(aim.to) - from).round(2)}" height="20"/>),
                  %(<rect class="needle" x="#{needle}" y="-3" width="1" height="26"/>)]
        picture("aim-scale", "0 -3 100 26", shapes.join)
      end

      # How many papers each year has, as bars from the first year to the last; those of the span stand out.
      # counts :: Hash of year to papers; span :: [first year, last year]
      def year_bars(counts, span)
        most = [counts.values.max, 1].max
        bars = counts.each_with_index.map do |(year, papers), place|
          height = papers.zero? ? 0 : [(40.0 * papers / most).round(1), 1.5].max
          place_and_size = %(x="#{place * 10}" y="#{(40 - height).round(1)}" width="8" height="#{height}")
          %(<rect class="year#{" within" if year.between?(*span)}" data-year="#{year}" data-papers="#{papers}" ) +
            %(#{place_and_size}><title>#{year}: #{papers}</title></rect>)
        end
        picture("year-bars", "0 0 #{(counts.size * 10) - 2} 40", bars.join)
      end

      private

      # A drawing that fills its place; its numbers stand beside it in text.
      def picture(name, view, shapes)
        %(<svg class="#{name}" viewBox="#{view}" preserveAspectRatio="none" aria-hidden="true">#{shapes}</svg>)
      end

      # 0 for nothing, a little for 1 so that it can be seen, 1 for the largest.
      def log_share(count, largest)
        count.zero? ? 0.0 : Math.log(count + 1) / Math.log([largest, 2].max + 1)
      end

      def slope_points(half, slope)
        corners = [[50 - half, 30], [50 + half, 30], [50 + slope, 44], [50 - slope, 44]]
        corners.map { |x, y| "#{x.round(2)},#{y}" }.join(" ")
      end
    end
  end
end
