# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Trail
        # The trail of an inquiry; `line` is the one that is looked at, `with` the one it is compared
        # with, each by its number or its name; `again` runs the search again; `step` and `who` leave
        # only some of its lines.
        class Page < StepPage
          KEY = :trail

          LOGS = { "txt" => "text", "csv" => "CSV", "json" => "JSON" }.freeze
          private_constant :LOGS

          # A named line: rule :: what it is made of; papers :: what it finds now
          class Named < Value
            attributes :name, :rule, :papers, :path
          end

          # lines :: Array of Hobrin::Trail::Line, the last first; filter :: LineFilter; named :: Array of Named
          attr_reader :lines, :filter, :named

          # looked_at, other :: the points that are looked at, as Services::Trails::Read::Point: none, one, or two
          # comparison :: of the two; again :: the search run again over the library as it is now, as Cards::AgainCard, nil
          # while that was not asked for
          attr_reader :looked_at, :other, :comparison, :again

          # context :: Services::Context. Raises GoneError for a line that is not there.
          def initialize(context:, **rest)
            super(**rest)
            reader = Services::Trails::Read.new(context)
            @lines = reader.call(id)
            @filter = LineFilter.new(self, lines)
            @looked_at, @other = point(:line, reader), point(:with, reader)
            @comparison = reader.compare(looked_at, other, inquiry.kept_ids) if looked_at && other
            @named = reader.named(opened.saved).map { |line| named_line(line) }
            @again = Cards::AgainCard.new(self, Services::Trails::RunAgain.new(context).call(id)) if again?
            @library_moved = reader.library_moved?(lines)
            freeze
          end

          def title = Book.t("trail.page.document_title", question: question.text)

          # How many papers are left now, where the library has changed since the last line; else nil.
          def left_now = (opened.final if lines.any? && lines.first.count_after != opened.final)

          def logs = LOGS.map { |ending, name| [path("log.#{ending}"), name] }

          def picture = Picture.new(self, lines.reverse, filter)
          def folds = Folds.new(self, filter.lines).call

          def card = Cards::PointCard.new(self, looked_at, other)

          # The address of a line that is looked at; the filter stays.
          def path_to(line, **more) = path(key, line:, **more, **filter.given)
          def open?(line) = looked_at&.name == line.number.to_s

          # A name that no line has yet, or what was typed and refused.
          def fresh_name
            return fields.text(:name) if errors[:name] || errors[:notation]

            taken = inquiry.lines.map(&:name)
            (1..).lazy.map { |number| "line-#{number}" }.find { |name| !taken.include?(name) }
          end

          def notation = errors[:name] || errors[:notation] ? fields.text(:notation) : ""

          def again_hint
            return Book.t("trail.page.changed_note") if @library_moved

            Book.t("trail.page.rerun_hint")
          end

          private

          def again? = fields.text(:again) == "yes"

          def named_line(named)
            Named.new(name: named.line.name, rule: named.line.rule, papers: named.size, path: path_to(named.line.name))
          end

          def point(name, reader)
            text = fields.text(name)
            number = Integer(text, 10, exception: false)
            return reader.at(id, number) if number&.between?(1, lines.size)

            reader.at_name(opened.saved, text) if inquiry.lines.any? { |line| line.name == text }
          end

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
              Row.new(number: line.number, step: StepPage::Progress::NAMES.fetch(line.step), change: line.change, note: line.note,
                      path: @page.path_to(line.number), open: @page.open?(line),
                      before: (number(line.count_before) unless line.count_before == line.count_after),
                      after: number(line.count_after), when: "#{day_and_time(line.at)}, #{line.who}")
            end
          end

          # Which lines of the trail are shown: those of one step, or of one person, or all.
          class LineFilter
            # A choice: path :: of the trail with it; size :: lines that it leaves
            class Choice < Value
              attributes :name, :path, :size, :chosen
            end

            # page :: Trail; lines :: Array of Hobrin::Trail::Line
            def initialize(page, lines)
              @page = page
              @all = lines
              @step = page.fields.one_of(:step, Inquiry::STEPS)
              @who = page.fields.some_text(:who)
              freeze
            end

            def lines = @all.select { |line| shows?(line) }
            def shows?(line) = (@step.nil? || line.step == @step) && (@who.nil? || line.who == @who)

            # The parameters that keep it.
            def given = { step: @step, who: @who }.compact

            # All, then each step that has lines.
            def steps
              there = Inquiry::STEPS.select { |step| @all.any? { |line| line.step == step } }
              choices = there.map { |step| choice(StepPage::Progress::NAMES.fetch(step), step, :step) }
              [choice(Book.t("trail.filter.all"), nil, :step), *choices]
            end

            # Everybody, then each person; none while there is but one.
            def people
              people = @all.map(&:who).uniq.sort
              people.size < 2 ? [] : [choice(Book.t("trail.filter.everybody"), nil, :who), *people.map { |who| choice(who, who, :who) }]
            end

            private

            def choice(name, value, by)
              size = @all.count { |line| value.nil? || line.public_send(by) == value }
              Choice.new(name:, size:, path: @page.path(:trail, **given.except(by), **{ by => value }.compact),
                         chosen: given[by] == value)
            end
          end
        end
      end
    end
  end
end
