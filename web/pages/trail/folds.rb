# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Trail
        # The lines of the trail as they are listed: many of one kind in a row are folded into one.
        class Folds
          include Formatting

          FEWEST = 4
          private_constant :FEWEST

          # words :: what the lines of a fold are together, nil for lines that stand by themselves;
          #   open :: whether a fold is
          # open because a line in it is looked at
          class Fold < Value
            attributes :words, :rows, :open, :range
          end

          # One line: moved :: papers before, nil when they did not change
          class Row < Value
            attributes :number, :step, :change, :path, :note, :before, :after, :when, :open
          end

          # page :: Trail; lines :: Array of Hobrin::Trail::Line, the last first
          def initialize(page, lines)
            @page = page
            @lines = lines
          end

          # Gives an Array of Fold.
          def call
            @lines.slice_when { |one, two| one.kind != two.kind || one.step != two.step }.map { |alike| fold(alike) }
          end

          private

          def fold(lines)
            folded = lines.size >= FEWEST
            Fold.new(words: (Edits::Wording.several(lines.first.kind, lines.size) if folded),
                     rows: lines.map { |line| row(line) }, open: lines.any? { |line| @page.open?(line) },
                     range: "#{lines.last.number}–#{lines.first.number}")
          end

          def row(line)
            Row.new(number: line.number, step: Progress::NAMES.fetch(line.step), change: line.change, note: line.note,
                    path: @page.path_to(line.number), open: @page.open?(line),
                    before: (number(line.count_before) unless line.count_before == line.count_after),
                    after: number(line.count_after), when: "#{day_and_time(line.at)}, #{line.who}")
          end
        end
      end
    end
  end
end
