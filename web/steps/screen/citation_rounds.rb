# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Screen
        # Citations followed round by round, as lists and as a picture.
        class CitationRounds
          # A round: heading :: in words; papers :: Array of Found
          class Round < Value
            attributes :heading, :papers, :more
          end

          # near :: Around::Near; by :: in words, what it hangs on
          class Found < Value
            attributes :near, :by
          end

          # rounds :: Array of Round; next_from :: the papers whose citations the next round follows; picture :: Picture
          attr_reader :rounds, :next_from, :picture

          # page :: Page; context :: Services::Context
          def initialize(page, context)
            @page = page
            reader = Services::Screen::CitationRounds.new(context, page.opened)
            around = Pane::Around.new(page, context)
            @rounds = reader.rounds.map { |round| told(round, around) }
            @next_from = reader.next_from
            @picture = Picture.new(reader, page)
            freeze
          end

          # What the button says, or why there is none.
          def press = Book.t("screen.citations.follow", papers: @page.count_of(next_from.size, "paper"))

          def nothing
            return Book.t("screen.citations.include_first") if @page.inquiry.kept_ids.empty?

            Book.t("screen.citations.complete")
          end

          # How many papers came in by following citations.
          def let_in = @page.inquiry.threaded_ids.size

          private

          def told(round, around)
            total = @page.inquiry.rounds[round.number - 1].found_ids.size
            from = @page.count_of(round.from, "paper")
            heading = Book.t("screen.citations.round", round: round.number, papers: from, found: @page.number(total))
            Round.new(heading:, papers: round.found.map { |tied| found(tied, around) }, more: total - round.found.size)
          end

          def found(tied, around)
            named = tied.by.first(2).map do |record|
              "#{record.authors.first&.family || Book.t("screen.citations.no_author")} #{record.year}"
            end
            more = tied.by.size - named.size
            key = more.positive? ? "linked_to_and_more" : "linked_to"
            by = Book.t("screen.citations.#{key}", count: tied.by.size, papers: named.join(", "), more:)
            Found.new(near: around.near(tied.near), by:)
          end

          # The threads as a picture: years across, rungs up, papers as marks, citations as lines.
          class Picture
            # x, y :: in units of the picture; kind :: as Services::Screen::CitationRounds::Mark
            class Mark < Value
              attributes :x, :y, :kind, :title, :path
            end

            # A line from the paper that cites to the one that is cited, as the path of an SVG.
            class Line < Value
              attributes :path
            end

            # A rung or a year at the edge.
            class Label < Value
              attributes :text, :x, :y
            end

            WIDTH = 900
            LEFT = 150
            ROW = 48
            TOP = 16
            MARK = 15
            private_constant :LEFT, :ROW, :TOP, :MARK

            # reader :: Services::Screen::CitationRounds; page :: Sift
            def initialize(reader, page)
              @shown, @citations = reader.picture
              @page = page
              @rows = reader.rungs(@shown.map(&:record))
              known = @shown.filter_map { |mark| mark.record.year }
              @years = known.empty? ? [2000] : known
              @marks = place_marks
              freeze
            end

            # rows :: Hash of the name of a rung to the ids of the papers there, from the top; marks :: Array of Mark,
            # those of one year on one rung beside each other
            attr_reader :rows, :marks

            def any? = @shown.any?
            def height = TOP + (rows.size * ROW) + 26
            def width = WIDTH

            def row_labels
              rows.keys.each_with_index.map do |name, place|
                Label.new(text: name, x: 0, y: TOP + (ROW * place) + (ROW / 2) + 4)
              end
            end

            def year_labels
              first, last = years.minmax
              step = [((last - first) / 8.0).ceil, 1].max
              (first..last).step(step).map do |year|
                Label.new(text: year.to_s, x: x_of(year), y: height - 6)
              end
            end

            def lines
              at = @shown.map { |mark| mark.record.id }.zip(placed_in_order).to_h
              @citations.filter_map do |from, to|
                one, two = at.values_at(from, to)
                next unless one && two

                bend = ((one.y + two.y) / 2) - (one.y == two.y ? 22 : 0)
                Line.new(path: "M#{one.x} #{one.y}Q#{(one.x + two.x) / 2} #{bend} #{two.x} #{two.y}")
              end
            end

            private

            attr_reader :years

            def place_marks
              @shown.group_by { |mark| [year(mark.record), row(mark.record)] }.flat_map do |(year, row), alike|
                alike.each_with_index.map { |mark, place| mark_at(mark, year, row, place, alike.size) }
              end
            end

            def placed_in_order
              by_path = marks.to_h { |mark| [mark.path, mark] }
              @shown.map { |mark| by_path[@page.path_to_paper(mark.record)] }
            end

            def year(record) = record.year || years.first

            def row(record) = rows.values.index { |ids| ids.include?(record.id) } || 0

            def mark_at(mark, year, row, place, size)
              across, down = place.divmod(3)
              spread = [size, 3].min - 1
              y = TOP + (ROW * row) + (ROW / 2) + ((down - (spread / 2.0)) * MARK)
              Mark.new(x: (x_of(year) + (across * MARK)).round(1), y: y.round(1), kind: mark.kind,
                       title: "#{mark.record.year}: #{mark.record.title}",
                       path: @page.path_to_paper(mark.record))
            end

            def x_of(year)
              first, last = years.minmax
              (LEFT + ((year - first) * (WIDTH - LEFT - 60.0) / [last - first, 1].max) + 20).round(1)
            end
          end
        end
      end
    end
  end
end
