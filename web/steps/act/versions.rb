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

          # page :: Act; context :: Services::Context
          def initialize(page, context)
            @page = page
            @context = context
            @reading = Services::Act::Versions.new(context)
            @shares = Services::Act::ShareBrief.new(context)
            @signed = page.inquiry.acting.signed
          end

          # What does not fit or is open before one signs: its title, and Array of [sentence, path].
          class Gaps < Value
            attributes :title, :lines
          end

          TITLES = { conclusion: "Conclusion and findings", decision: "Decision and plan", open: "Not finished" }.freeze
          private_constant :TITLES

          def any? = @signed.any?
          def signer = @page.typed_or(:signer, "")
          def reason = @page.typed_or(:reason, "")

          # Array of Gaps, empty where everything fits.
          def gaps
            @gaps ||= Services::Act::CheckSignOff.new(@context).call(@page.opened).group_by(&:about).map do |about, gaps|
              Gaps.new(title: TITLES.fetch(about), lines: gaps.map { |gap| [gap.words, path_to(gap)] })
            end
          end

          # The last first.
          def rows
            @signed.each_with_index.map { |signature, place| row(signature, place + 1) }.reverse
          end

          # The number of the version that is looked at: the last one unless said otherwise.
          def number
            asked = @page.fields.number(:version)
            asked.is_a?(Integer) && asked.between?(1, @signed.size) ? asked : @signed.size
          end

          # Exchange::Report::Since::Part of what reads differently since.
          def since = @since ||= @reading.since(@page.opened, number)
          def lines = @lines ||= @reading.lines(@page.opened, number)

          def moved
            @reading.moved(@page.opened, number).map do |one|
              Moved.new(name: one.name, before: told(one.before), now: told(one.now), changed: one.changed?)
            end
          end

          # The version as it was signed, as safe markup.
          def report = Exchange::Report::Writers::Html::Markup.of(@reading.report(@page.opened, number).sections)

          def token = share&.token
          def share = @shares.share(@page.id)

          # The code to read off a screen, as safe markup.
          def code(address) = Exchange::Report::Writers::Html::Drawing.of(Exchange::Report::Pictures::Qr.of(address))

          private

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
            return "not there" unless row

            papers = @page.count_of(row.pool.studies.size, "paper")
            effect = Brief::Words::OfResult.new(row.pool.measure).of(row.effect) if row.effect
            certainty = "#{row.certainty.word} certainty" if row.certainty
            [papers, effect, certainty].compact.join(", ")
          end
        end
      end
    end
  end
end
