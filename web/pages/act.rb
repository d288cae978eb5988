# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Act step.
      class Act < Step
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

        def brief = @brief ||= Services::Act::ReadBrief.new(@context).call(opened)
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

          "Name a day, such as 2027-02-01: then Home says when it has come, and your calendar can have it."
        end

        def today = @context.today

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

        def measuring = @measuring ||= Measuring.new(self)
        def deliberation = @deliberation ||= Deliberation.new(self)
        def steps = @steps ||= Steps.new(self)
        def versions = @versions ||= Versions.new(self, @context)

        # The forest of the first outcome that was pooled, and a hundred people for the first that
        # has them, as safe markup.
        def pictures
          drawn = Exchange::Report::Pictures
          pool = findings.rows.map(&:pool).find(&:pooled)
          people = findings.rows.find { |row| row.side && row.hundred }
          [pool && drawn::Forest.of(pool),
           people && drawn::Hundred.of(people)].compact.map do |picture|
            [picture.name, Exchange::Report::Writers::Html::Drawing.of(picture)]
          end
        end

        # The whole report as files have it, as safe markup.
        def whole
          report = Services::Act::Versions.new(@context).now(opened, style:)
          Exchange::Report::Writers::Html::Markup.of(report.sections)
        end

        # Who signed last, in words.
        def signed_words
          last = inquiry.acting.signed.last
          last ? "Signed off by #{last.name} on #{day(last.on.iso8601)}." : "Not signed off yet."
        end

        # The code of the address at which it can be read, as safe markup.
        def code(address) = versions.code(address)

        # A sentence to begin from, where none is written; nil where nothing is found.
        def proposed = (Brief::Claim.proposed(findings.rows) if conclusion.strip.empty?)

        # What the conclusion claims that the findings do not show, in sentences.
        def objections = Brief::Claim.objections(conclusion, findings.rows).map(&:words)

        # [name, path, whether it is open]
        def parts
          measures = count_of(inquiry.acting.measures.size, "measure")
          names = { shall_we: "Shall we?", steps: "Step by step",
                    measures: "Did it work? #{measures}", versions: "Signed and shared" }
          named = names.map do |part, name|
            [name, path(key, show: PARTS.fetch(part).first), open_part == part]
          end
          [["The brief", path, open_part == :brief], *named]
        end

        # The part of the evidence that is shown.
        def portion = @portion ||= Portion.of(brief.rows, from: fields.number(:from))
        def path_to_portion = ->(from) { "#{path(key, from:)}#evidence-title" }
        def rows = portion.shown.map { |row| evidence(row) }

        # The table of findings, of the outcomes that are named.
        def findings
          @findings ||= Services::Appraise::Read.new(@context, opened).findings_table
        end

        def searched_on
          "counted on " \
            "#{day(brief.searched_on.iso8601)}#{" in the made-up sample library" if sample?}"
        end

        def dock_words
          papers = count_of(counts.unread, "paper")
          unread = "#{papers} #{counts.unread == 1 ? "was" : "were"} never read."
          [(unread if counts.unread.positive?),
           ("#{counts.unsure} unsure." if counts.unsure.positive?)].compact.join(" ")
        end

        private

        def counts = brief.flow

        def evidence(row)
          paper = row.paper
          moved = ", moved: #{paper.graded_why}" if paper && paper.graded != 0
          Evidence.new(record: row.record, design: row.design&.name || "not weighed yet",
                       level: row.level && "#{row.level}#{moved}", finding: paper&.finding, applicability: row.applicability,
                       results: row.results.map { |result| Brief::Words::OfPaper.of(result) })
        end
      end
    end
  end
end
