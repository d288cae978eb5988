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

            Book.t("act.page.review_hint")
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
            last ? Book.t("act.page.signed_by", name: last.name, day: day(last.on.iso8601)) : Book.t("act.page.not_signed")
          end

          # The code to read an address off a screen or a printed page, as safe markup.
          def code(address) = Exchange::Report::Writers::Html::Drawing.of(Exchange::Report::Pictures::Qr.of(address))

          # A sentence to begin from, where none is written; nil where nothing is found.
          def proposed = (Brief::Claim.proposed(findings.rows) if conclusion.strip.empty?)

          # What the conclusion claims that the findings do not show, in sentences.
          def objections = Brief::Claim.objections(conclusion, findings.rows).map(&:words)

          # [name, path, whether it is open]
          def parts
            names = { shall_we: Book.t("act.page.decision"), steps: Book.t("act.page.plan"),
                      measures: Book.t("act.page.measures", measures: inquiry.acting.measures.size), versions: Book.t("act.page.sharing") }
            named = names.map do |part, name|
              [name, path(key, show: PARTS.fetch(part).first), open_part == part]
            end
            [[Book.t("act.page.brief"), path, open_part == :brief], *named]
          end

          def path_to_portion = ->(from) { "#{path(key, from:)}#evidence-title" }
          def rows = portion.shown.map { |row| evidence(row) }

          def searched_on
            Book.t("act.page.#{sample? ? "counted_in_sample" : "counted"}", day: day(brief.searched_on.iso8601))
          end

          def dock_words
            [(Book.t("act.page.unread", count: counts.unread) if counts.unread.positive?),
             (Book.t("act.page.unsure", papers: counts.unsure) if counts.unsure.positive?)].compact.join(" ")
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
            moved = Book.t("act.evidence.moved", reason: paper.graded_why) if paper && paper.graded != 0
            Evidence.new(record: row.record, design: row.design&.name || Book.t("act.evidence.not_appraised"),
                         level: row.level && "#{row.level}#{moved}", finding: paper&.finding, applicability: row.applicability,
                         results: row.results.map { |result| Brief::Words::OfPaper.of(result) })
          end

          # Everything that can be taken away from Act as a file.
          module Files
            # Addresses after "files/", by what they are for; the book names both.
            REPORTS = { ward: %w[ward.pdf], full: %w[brief.pdf brief.docx brief.html brief.md],
                        tables: %w[brief.xlsx findings.csv papers.csv measures.csv], systems: %w[brief.fhir.json] }.freeze
            PAPERS = %w[evidence.ris evidence.bib evidence.json].freeze
            private_constant :REPORTS, :PAPERS

            # page :: Act. Gives [what it is for, Array of [path, name]].
            def self.of(page)
              reports = REPORTS.map do |key, files|
                [Book.t("act.files.#{key}"), files.map { |file| [page.path("files/#{file}", style: page.style), name(file)] }]
              end
              papers = PAPERS.map { |file| [page.path(file), name(file)] }
              [*reports, [Book.t("act.files.papers"), papers], [Book.t("act.files.archive"), archives(page)]]
            end

            def self.name(file) = Book.t("act.files.format.#{file.tr(".", "_")}")

            # What led to the question may tell of a patient: it goes along only where that is chosen.
            def self.archives(page)
              [[page.path("archive.json"), Book.t("act.files.archive_plain")],
               [page.path("archive.json", situation: "yes"), Book.t("act.files.archive_situation")]]
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
              [Line.new(papers: counts.joined, says: Book.t("act.flow.all_blocks"), aside: limited, last: false),
               Line.new(papers: counts.found, says: Book.t("act.flow.left"), aside: dropped, last: false),
               *(open_line if (counts.unsure + counts.unread).positive?),
               Line.new(papers: counts.kept, says: Book.t("act.flow.in_set"), aside: kept_outside,
                        last: true)]
            end

            private

            attr_reader :counts

            def limited
              added = counts.by_hand + counts.threaded
              key = if added.zero? then "limited"
                    else counts.threaded.zero? ? "limited_and_added" : "limited_added_and_cited"
                    end
              Book.t("act.flow.#{key}", removed: counts.limited, added:, cited: counts.threaded)
            end

            def dropped
              return Book.t("act.flow.none_excluded") if counts.dropped_total.zero?

              reasons = counts.dropped.map { |reason, count| "#{Screening::Decision::Reasons.name(reason).downcase} #{count}" }
              Book.t("act.flow.excluded", papers: counts.dropped_total, reasons: reasons.join(", "))
            end

            def open_line
              Line.new(papers: counts.unsure + counts.unread, says: "open",
                       aside: Book.t("act.flow.unsure_unread", unsure: counts.unsure, unread: counts.unread), last: false)
            end

            def kept_outside
              outside = counts.kept_outside
              outside.positive? ? Book.t("act.flow.outside", papers: outside) : ""
            end
          end
        end
      end
    end
  end
end
