# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Act
        # Signed and shared: the versions, one of them open, what changed since, and the address at
        # which the brief can be read.
        class Versions
          # A signed version: changes :: how many lines of the trail came after it; files :: Array
          # of [path, name]
          class Row < Value
            attributes :number, :name, :on, :changes, :path, :files, :open
          end

          # What an outcome came to then and comes to now, in words.
          class Moved < Value
            attributes :name, :before, :now, :changed
          end

          FILES = { "pdf" => "PDF", "html" => "HTML", "docx" => "Word", "md" => "Markdown" }.freeze
          private_constant :FILES

          # What does not fit or is open before one signs: its title, and Array of [sentence, path].
          class Gaps < Value
            attributes :title, :lines
          end

          TITLES = { conclusion: Book.t("act.versions.conclusion_findings"), decision: Book.t("act.versions.decision_plan"),
                     open: Book.t("act.versions.not_finished") }.freeze
          private_constant :TITLES

          # gaps :: Array of Gaps, empty where everything fits
          attr_reader :gaps

          # Of the version that is looked at; nil where none is signed.
          # since :: what reads differently now, as Array of Exchange::Report::Since::Part; lines :: of the trail after it
          # moved :: Array of Moved; report :: the version as it was signed, as safe markup
          attr_reader :since, :lines, :moved, :report

          # page :: Page; context :: Services::Context
          def initialize(page, context)
            @page = page
            @signed = page.inquiry.acting.signed
            @gaps = Services::Act::CheckSignOff.new(context).call(page.opened).group_by(&:about).map do |about, gaps|
              Gaps.new(title: TITLES.fetch(about), lines: gaps.map { |gap| [gap.words, path_to(gap)] })
            end
            read_version(Services::Act::Versions.new(context)) if any?
            freeze
          end

          def any? = @signed.any?
          def signer = @page.typed_or(:signer, "")
          def reason = @page.typed_or(:reason, "")

          # The last first.
          def rows
            @signed.each_with_index.map { |signature, place| row(signature, place + 1) }.reverse
          end

          # The number of the version that is looked at: the last one unless said otherwise.
          def number
            asked = @page.fields.number(:version)
            asked.is_a?(Integer) && asked.between?(1, @signed.size) ? asked : @signed.size
          end

          private

          def read_version(reading)
            opened = @page.opened
            @since = reading.since(opened, number)
            @lines = reading.lines(opened, number)
            @report = Exchange::Report::Writers::Html::Markup.of(reading.report(opened, number).sections)
            @moved = reading.moved(opened, number).map do |outcome|
              Moved.new(name: outcome.name, before: told(outcome.before), now: told(outcome.now), changed: outcome.changed?)
            end
          end

          # Where a Brief::SignOffCheck::Gap can be put right.
          def path_to(gap)
            case gap.place
            when :brief then "#{@page.path}#act-form"
            when :decision then @page.path(:act, show: "decision")
            when :screening then @page.path(:sift, paper: gap.id)
            when :differences then @page.path(gap.id == :screening ? :differences : :sheets)
            when :appraisal then @page.path(:weigh, paper: gap.id)
            when :outcome then @page.path(:weigh, outcome: gap.id)
            end
          end

          def row(one, number)
            Row.new(number:, name: one.name, on: @page.day(one.on.iso8601), files: files(number),
                    changes: @page.version - one.line, open: number == self.number,
                    path: @page.path(:act, show: "versions", version: number))
          end

          def files(number)
            FILES.map { |ending, name| [@page.path("versions/#{number}.#{ending}"), name] }
          end

          def told(row)
            return Book.t("act.versions.missing") unless row

            papers = @page.count_of(row.pool.studies.size, "paper")
            effect = Brief::Words::OfResult.new(row.pool.measure).of(row.effect) if row.effect
            certainty = Book.t("act.versions.certainty", word: row.certainty.word) if row.certainty
            [papers, effect, certainty].compact.join(", ")
          end
        end
      end
    end
  end
end
