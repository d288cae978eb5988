# frozen_string_literal: true

module Hobrin
  module Web
    # The papers left over the changes of an inquiry, as SVG. Its marks lead to their lines; the
    # list beside it has the same links for the keyboard, so that nobody has to tab through a
    # hundred of them twice.
    module TrailPictures
      # picture :: Pages::Trail::Picture
      def trail_picture(picture)
        frame = "0 0 #{Pages::Trail::Picture::WIDTH} #{Pages::Trail::Picture::HEIGHT}"
        shapes = [bands(picture), grid(picture), aim_band(picture),
                  tag("polyline", "", class: "trail-line", points: picture.points), marks(picture)]
        tag("svg", shapes.join, class: "trail-picture", viewBox: frame, "aria-hidden": "true")
      end

      private

      def bands(picture)
        height = Pages::Trail::Picture::HEIGHT
        picture.bands.each_with_index.map do |band, place|
          middle = (band.x + (band.width / 2)).round(1)
          name = band.name && tag("text", h(band.name), class: "band-name", x: middle, y: 14)
          shade = "trail-band band-#{place % 2}"
          "#{tag("rect", "", class: shade, x: band.x, width: band.width, height:)}#{name}"
        end.join
      end

      def grid(picture)
        picture.grid.map do |y, label|
          tag("line", "", class: "trail-grid", x1: 44, x2: Pages::Trail::Picture::WIDTH, y1: y,
                          y2: y) +
            tag("text", h(label), class: "grid-label", x: 38, y: y + 4)
        end.join
      end

      def aim_band(picture)
        y, height = picture.aim
        tag("rect", "", class: "trail-aim", x: 44, y:, width: Pages::Trail::Picture::WIDTH - 44,
                        height:) +
          tag("text", "aim", class: "aim-name", x: Pages::Trail::Picture::WIDTH - 6, y: y - 3)
      end

      def marks(picture)
        picture.marks.map do |mark|
          place = { cx: mark.x, cy: mark.y }
          dot = tag("circle", "", class: "mark-dot", r: mark.state == "open" ? 6 : 3.2, **place)
          inside = [tag("circle", "", class: "mark-reach", r: 9, **place), dot,
                    tag("title", h(mark.title))]
          tag("a", inside.join, class: "trail-mark #{mark.state}", tabindex: -1,
                                href: mark.path, "hx-get": mark.path)
        end.join
      end
    end
  end
end
