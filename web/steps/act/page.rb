# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Act
        # The Act step.
        class Page < StepPage
          KEY = :act

          # Prompts that ask for more than a word or two.
          LONG = %i[what measured risk needed].freeze
          # The parts of Act: how an address names each, and a field that only its form has.
          PARTS = { shall_we: ["decision", :decision], steps: ["steps", :step_what], measures: ["measures", :numbers],
                    versions: ["versions", :signer], whole: ["whole", nil] }.freeze
          private_constant :LONG, :PARTS

          # A field of the change plan.
          class Field < Value
            attributes :name, :prompt, :text, :rows
          end

          # A paper of the evidence table: results :: Array of Brief::Words::OfPaper
          class Evidence < Value
            attributes :record, :design, :level, :results, :finding, :applicability
          end

          # brief :: Brief as it stands; findings :: the table of findings, of the outcomes that are named
          # share :: the address at which it can be read, as Store::SharedBriefs::Share, or nil; today :: Date
          attr_reader :brief, :findings, :share, :today

          # measuring :: Plan::Measuring; deliberation :: Plan::Deliberation; steps :: Plan::Steps
          # portion :: the part of the evidence that is shown; pictures :: Array of [name, safe markup]
          attr_reader :measuring, :deliberation, :steps, :portion, :pictures

          # versions :: Versions, and whole :: the whole report as files have it, as safe markup; each nil while it is
          # not what is shown
          attr_reader :versions, :whole

          # context :: Services::Context
          def initialize(context:, **rest)
            super(**rest)
            @today = context.clock.today
            @brief = Services::Act::ReadBrief.new(context).call(opened)
            @findings = Services::Appraise::Read.new(context, opened).findings_table
            @share = Services::Act::ShareBrief.new(context).share(id)
            @portion = Web::Page::Portion.of(brief.rows, from: fields.number(:from))
            @measuring, @deliberation, @steps = Plan::Measuring.new(self), Plan::Deliberation.new(self), Plan::Steps.new(self)
            @pictures = open_part == :brief ? draw_pictures : []
            @versions = Versions.new(self, context) if open_part == :versions
            @whole = whole_report(context) if open_part == :whole
            freeze
          end

          def conclusion = typed_or(:conclusion, inquiry.conclusion)
          def elements = question.elements.reject(&:blank?)
          def use(element) = Question::Element::USES.fetch(element.use)

          def files = Files.of(self)

          # The style of the references in files, as it was chosen.
          def style = fields.one_of(:style, Exchange::Citation::STYLES.keys.map(&:to_sym))&.to_s

          # [value, name, whether it is chosen]
          def styles = Exchange::Citation::STYLES.map { |key, (name, _)| [key, name, key == style] }

          def plan = prompted(Brief::ActionPlan::PROMPTS)

          # Fields of the change plan. prompts :: Hash of name to prompt
          def prompted(prompts)
            prompts.map do |name, prompt|
              Field.new(name:, prompt:, text: typed_or(name, inquiry.plan.public_send(name)),
                        rows: LONG.include?(name) ? 2 : 1)
            end
          end

          # What is said beside the day for looking again; nil where a day is named, or nothing is.
          def no_day
            return if inquiry.plan.look_again.empty? || inquiry.plan.look_again_on

            "Set a review date, such as 2027-02-01, to get a reminder on Home and in your calendar."
          end

          def kept = counts.kept
          def flow = FlowLines.new(counts).call
          def flow_steps = Brief::Flow::Boxes.new(counts).steps

          # What is open: one of PARTS.
          def open_part
            shown = PARTS.find do |_, (show, field)|
              fields.text(:show) == show || (field && fields.sent?(field))
            end
            shown ? shown.first : :brief
          end

          # Who signed last, in words.
          def signed_words
            last = inquiry.acting.signed.last
            last ? "Signed off by #{last.name} on #{day(last.on.iso8601)}." : "Not signed off yet."
          end

          # The code to read an address off a screen or a printed page, as safe markup.
          def code(address) = Exchange::Report::Writers::Html::Drawing.of(Exchange::Report::Pictures::Qr.of(address))

          # A sentence to begin from, where none is written; nil where nothing is found.
          def proposed = (Brief::Claim.proposed(findings.rows) if conclusion.strip.empty?)

          # What the conclusion claims that the findings do not show, in sentences.
          def objections = Brief::Claim.objections(conclusion, findings.rows).map(&:words)

          # [name, path, whether it is open]
          def parts
            names = { shall_we: "Decision", steps: "Action plan",
                      measures: "Measures (#{inquiry.acting.measures.size})", versions: "Sign-off and sharing" }
            named = names.map do |part, name|
              [name, path(key, show: PARTS.fetch(part).first), open_part == part]
            end
            [["The brief", path, open_part == :brief], *named]
          end

          def path_to_portion = ->(from) { "#{path(key, from:)}#evidence-title" }
          def rows = portion.shown.map { |row| evidence(row) }

          def searched_on
            "counted on " \
              "#{day(brief.searched_on.iso8601)}#{" in the made-up sample library" if sample?}"
          end

          def dock_words
            papers = count_of(counts.unread, "paper")
            unread = "#{papers} #{counts.unread == 1 ? "was" : "were"} not screened."
            [(unread if counts.unread.positive?),
             ("#{counts.unsure} unsure." if counts.unsure.positive?)].compact.join(" ")
          end

          private

          def counts = brief.flow

          # The forest of the first outcome that was pooled, and a hundred people for the first that has them.
          def draw_pictures
            drawn = Exchange::Report::Pictures
            pool = findings.rows.map(&:pool).find(&:pooled)
            people = findings.rows.find { |row| row.side && row.hundred }
            found = [(drawn::Forest.of(pool) if pool), (drawn::Hundred.of(people) if people)].compact
            found.map { |picture| [picture.name, Exchange::Report::Writers::Html::Drawing.of(picture)] }
          end

          def whole_report(context)
            report = Services::Act::Versions.new(context).now(opened, style:)
            Exchange::Report::Writers::Html::Markup.of(report.sections)
          end

          def evidence(row)
            paper = row.paper
            moved = ", moved: #{paper.graded_why}" if paper && paper.graded != 0
            Evidence.new(record: row.record, design: row.design&.name || "not appraised yet",
                         level: row.level && "#{row.level}#{moved}", finding: paper&.finding, applicability: row.applicability,
                         results: row.results.map { |result| Brief::Words::OfPaper.of(result) })
          end

          # Everything that can be taken away from Act as a file.
          module Files
            # What it is for, and [address after "files/", name] of each.
            REPORTS = {
              "One-page summary for the ward" => [%w[ward.pdf PDF]],
              "Full brief" => [%w[brief.pdf PDF], %w[brief.docx Word], %w[brief.html HTML],
                               %w[brief.md Markdown]],
              "The tables" => [%w[brief.xlsx Excel], ["findings.csv", "findings as CSV"],
                               ["papers.csv", "papers as CSV"], ["measures.csv", "measures as CSV"]],
              "For other systems" => [["brief.fhir.json", "FHIR R5"]]
            }.freeze
            PAPERS = [%w[evidence.ris RIS], %w[evidence.bib BibTeX],
                      %w[evidence.json CSL-JSON]].freeze
            WHOLE = "The whole inquiry (archive)"
            private_constant :REPORTS, :PAPERS, :WHOLE

            # page :: Act. Gives [what it is for, Array of [path, name]].
            def self.of(page)
              reports = REPORTS.transform_values do |files|
                files.map { |file, words| [page.path("files/#{file}", style: page.style), words] }
              end
              papers = PAPERS.map { |file, words| [page.path(file), words] }
              [*reports, ["The papers", papers], [WHOLE, archives(page)]]
            end

            # What led to the question may tell of a patient: it goes along only where that is chosen.
            def self.archives(page)
              [[page.path("archive.json"), "Archive"],
               [page.path("archive.json", situation: "yes"), "Archive with the situation"]]
            end
            private_class_method :archives
          end

          # The flow of papers, a line for each step, from the search to the evidence set.
          class FlowLines
            include Formatting

            # A number in the flow of papers and what is said of it.
            class Line < Value
              attributes :papers, :says, :aside, :last
            end

            # counts :: Brief::Flow
            def initialize(counts)
              @counts = counts
            end

            # Array of Line, from the top.
            def call
              [Line.new(papers: counts.joined, says: "match all blocks", aside: limited, last: false),
               Line.new(papers: counts.found, says: "left to read", aside: dropped, last: false),
               *(open_line if (counts.unsure + counts.unread).positive?),
               Line.new(papers: counts.kept, says: "in the evidence set", aside: kept_outside,
                        last: true)]
            end

            private

            attr_reader :counts

            def limited
              added = counts.by_hand + counts.threaded
              threaded = " (#{number(counts.threaded)} of them by citation searching)" if counts.threaded.positive?
              "−#{number(counts.limited)} by limits#{", +#{number(added)} added manually#{threaded}" if added.positive?}"
            end

            def dropped
              return "none excluded" if counts.dropped_total.zero?

              reasons = counts.dropped.map { |reason, count| "#{reason.downcase} #{count}" }
              "−#{counts.dropped_total} excluded: #{reasons.join(", ")}"
            end

            def open_line
              Line.new(papers: counts.unsure + counts.unread, says: "open",
                       aside: "#{counts.unsure} unsure, #{counts.unread} not screened", last: false)
            end

            def kept_outside
              outside = counts.kept_outside
              outside.positive? ? "and #{outside} included earlier that this search no longer finds" : ""
            end
          end
        end
      end
    end
  end
end
