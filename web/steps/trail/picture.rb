# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Trail
        # The papers left over the changes, as places in a drawing: steps as bands, a mark for each
        # line.
        class Picture
          include Formatting

          WIDTH = 640
          HEIGHT = 300
          LEFT = 44
          RIGHT = 12
          TOP = 30
          BOTTOM = 24
          # A band narrower than this has no room for its name.
          ROOM_FOR_NAME = 34
          private_constant :LEFT, :RIGHT, :TOP, :BOTTOM, :ROOM_FOR_NAME

          # Lines of one step in a row: name :: nil where there is no room for it
          class Band < Value
            attributes :x, :width, :name
          end

          # A line of the trail: state :: "open", "other" (compared with), "faint" (filtered out) or
          #   ""
          class Mark < Value
            attributes :x, :y, :path, :title, :state
          end

          # page :: Trail; lines :: Array of Hobrin::Trail::Line, the first first; filter ::
          #   LineFilter
          def initialize(page, lines, filter)
            @page = page
            @lines = lines
            @filter = filter
            @most = [*lines.map(&:count_after), page.inquiry.aim.to, 9].max
            freeze
          end

          # Where the line runs: a frozen text of points.
          def points = @lines.map { |line| "#{x(line.number)},#{y(line.count_after)}" }.join(" ")

          def bands
            @lines.slice_when { |one, two| one.step != two.step }.map do |alike|
              from, to = x(alike.first.number - 0.5), x(alike.last.number + 0.5)
              name = StepPage::Progress::NAMES.fetch(alike.first.step) if to - from >= ROOM_FOR_NAME
              Band.new(x: from, width: (to - from).round(1), name:)
            end
          end

          def marks
            @lines.map do |line|
              Mark.new(x: x(line.number), y: y(line.count_after), path: @page.path_to(line.number), state: state(line),
                       title: "#{line.number}: #{line.change}, #{count_of(line.count_after, "paper")}")
            end
          end

          # The papers that a person can read, as a band: [y, height].
          def aim
            aim = @page.inquiry.aim
            top = y(aim.to)
            [top, (y(aim.from) - top).round(1)]
          end

          # Powers of ten: [y, label].
          def grid
            (0..Math.log10(@most).floor).map { |power| [y(10**power), number(10**power)] }
          end

          # Below the picture, in text.
          def ends = [Book.t("trail.picture.line", number: 1), Book.t("trail.picture.line", number: @lines.size)]

          # For who cannot see it.
          def summary
            steps = @lines.slice_when { |one, two| one.step != two.step }.map do |alike|
              Book.t("trail.picture.step", step: StepPage::Progress::NAMES.fetch(alike.first.step), first: alike.first.number,
                                           last: alike.last.number, papers: alike.last.count_after)
            end
            Book.t("trail.picture.summary", steps: steps.join("; "))
          end

          private

          def x(number)
            span = [@lines.size - 1, 1].max
            (LEFT + ((WIDTH - LEFT - RIGHT) * (number - 1).clamp(0, span) / span.to_f)).round(1)
          end

          # On a log scale that begins at nothing.
          def y(papers)
            share = Math.log(papers + 1) / Math.log(@most + 1)
            (HEIGHT - BOTTOM - ((HEIGHT - TOP - BOTTOM) * share)).round(1)
          end

          def state(line)
            return "open" if @page.open?(line)
            return "other" if @page.other&.name == line.number.to_s

            @filter.shows?(line) ? "" : "faint"
          end

          # The papers left over the changes of an inquiry, as SVG. Its marks lead to their lines; the
          # list beside it has the same links for the keyboard, so that nobody has to tab through a
          # hundred of them twice.
          module Svg
            # picture :: Web::Steps::Trail::Picture
            def trail_picture(picture)
              frame = "0 0 #{WIDTH} #{HEIGHT}"
              shapes = [bands(picture), grid(picture), aim_band(picture),
                        tag("polyline", "", class: "trail-line", points: picture.points), marks(picture)]
              tag("svg", shapes.join, class: "trail-picture", viewBox: frame, "aria-hidden": "true")
            end

            private

            def bands(picture)
              height = HEIGHT
              picture.bands.each_with_index.map do |band, place|
                middle = (band.x + (band.width / 2)).round(1)
                name = band.name && tag("text", h(band.name), class: "band-name", x: middle, y: 14)
                shade = "trail-band band-#{place % 2}"
                "#{tag("rect", "", class: shade, x: band.x, width: band.width, height:)}#{name}"
              end.join
            end

            def grid(picture)
              picture.grid.map do |y, label|
                tag("line", "", class: "trail-grid", x1: 44, x2: WIDTH, y1: y,
                                y2: y) +
                  tag("text", h(label), class: "grid-label", x: 38, y: y + 4)
              end.join
            end

            def aim_band(picture)
              y, height = picture.aim
              tag("rect", "", class: "trail-aim", x: 44, y:, width: WIDTH - 44,
                              height:) +
                tag("text", "target", class: "aim-name", x: WIDTH - 6, y: y - 3)
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
    end
  end
end
