# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Trail
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
          end

          # Where the line runs: a frozen text of points.
          def points = @lines.map { |line| "#{x(line.number)},#{y(line.count_after)}" }.join(" ")

          def bands
            @lines.slice_when { |one, two| one.step != two.step }.map do |alike|
              from, to = x(alike.first.number - 0.5), x(alike.last.number + 0.5)
              name = Progress::NAMES.fetch(alike.first.step) if to - from >= ROOM_FOR_NAME
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
          def ends = ["line 1", "line #{@lines.size}"]

          # For who cannot see it.
          def summary
            steps = @lines.slice_when { |one, two| one.step != two.step }.map do |alike|
              "#{Progress::NAMES.fetch(alike.first.step)}, lines #{alike.first.number} to #{alike.last.number}: " \
                "#{alike.last.count_after} left"
            end
            "Papers left over the changes. #{steps.join("; ")}."
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
        end
      end
    end
  end
end
