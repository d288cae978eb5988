# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Sift
        # The threads as a picture: years across, rungs up, papers as marks, citations as lines.
        class ThreadsPicture
          # x, y :: in units of the picture; kind :: as Services::ReadThreads::Mark
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
          ROW = 58
          TOP = 16
          MARK = 15
          private_constant :LEFT, :ROW, :TOP, :MARK

          # shown :: [marks, lines] as Services::ReadThreads gives them; page :: Sift
          def initialize(shown, page, context)
            @marks, @lines = shown
            @page = page
            @context = context
          end

          def any? = @marks.any?
          def height = TOP + (rows.size * ROW) + 26
          def width = WIDTH

          def rows
            @rows ||= Appraisal::Ladder.new(Records::RecordSet.of(numbers.values), @page.question.kind,
                                            @context.evaluator.index).call
          end

          def row_labels
            rows.each_with_index.map { |rung, place| Label.new(text: rung.name, x: 0, y: TOP + (ROW * place) + (ROW / 2) + 4) }
          end

          def year_labels
            first, last = years.minmax
            step = [((last - first) / 8.0).ceil, 1].max
            (first..last).step(step).map { |year| Label.new(text: year.to_s, x: x_of(year), y: height - 6) }
          end

          # Papers of one year on one rung stand beside each other.
          def marks
            @placed ||= @marks.group_by { |mark| [year(mark.record), row(mark.record)] }.flat_map do |(year, row), some|
              some.each_with_index.map { |mark, place| mark_at(mark, year, row, place, some.size) }
            end
          end

          def lines
            at = @marks.map { |mark| mark.record.id }.zip(placed_in_order).to_h
            @lines.filter_map do |from, to|
              one, two = at.values_at(from, to)
              next unless one && two

              bend = ((one.y + two.y) / 2) - (one.y == two.y ? 22 : 0)
              Line.new(path: "M#{one.x} #{one.y}Q#{(one.x + two.x) / 2} #{bend} #{two.x} #{two.y}")
            end
          end

          private

          def placed_in_order
            by_path = marks.to_h { |mark| [mark.path, mark] }
            @marks.map { |mark| by_path[@page.path_to_paper(mark.record)] }
          end

          def numbers = @numbers ||= @context.library.numbers(@marks.map { |mark| mark.record.id })
          def year(record) = record.year || years.first
          def years = @years ||= @marks.filter_map { |mark| mark.record.year }.then { |all| all.empty? ? [2000] : all }
          def row(record) = rows.index { |rung| rung.papers.include?(numbers[record.id]) } || 0

          def mark_at(mark, year, row, place, size)
            across, down = place.divmod(3).reverse.then { |one, two| [two, one] }
            spread = [size, 3].min - 1
            Mark.new(x: (x_of(year) + (across * MARK)).round(1), y: (TOP + (ROW * row) + (ROW / 2) + ((down - (spread / 2.0)) * MARK)).round(1),
                     kind: mark.kind, title: "#{mark.record.year}: #{mark.record.title}", path: @page.path_to_paper(mark.record))
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
