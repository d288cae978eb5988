# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # What the forms of Appraise send, and the edits they make.
        module Forms
          # Steps and a reason, as a Judgement; nil where it goes by what is proposed.
          class Judging
            def initialize(fields)
              @fields = fields
            end

            # Raises InputError naming the field.
            def call
              text = @fields.text(:steps).strip
              return if text.empty?

              steps = Integer(text, 10, exception: false)
              Appraisal::Outcome::Judgement.new(steps:, why: @fields.text(:why))
            end
          end

          # Numbers with a decimal point or comma, as the core reads them.
          module Decimals
            private

            # Gives a Float, nil when blank. Raises InputError naming the field.
            def decimal(name)
              text = fields.some_text(name) or return
              Appraisal::Reported::Figures::Typed.number(text) || raise(InputError,
                                                                        { name => Book.t("appraise.page.number_example") })
            end
          end

          # The sheet of one kept paper.
          class SheetForm < Form
            def edit = Edits::Appraise::SaveAppraisal.new(paper:)

            # Whether one of two who weigh apart is done with it.
            def done? = fields.text(:do) == "done"

            def after(_outcome)
              step = fields.one_of(:next, Inquiry::STEPS)
              step && step != :weigh ? Form::After.new(step:) : Form::After.new(paper: fields.text(:paper))
            end

            private

            def paper
              Appraisal::Paper.new(
                record_id: fields.text(:paper), design: fields.text(:design), reviewed: fields.text(:reviewed),
                answers:, sentences:, concerns:, applies:,
                graded: fields.number(:graded) || 0, graded_why: fields.text(:graded_why).strip,
                finding: fields.text(:finding).strip
              )
            end

            def answers
              Appraisal::Checklists::KEYS.to_h { |key| [key, answer(key)] }.compact
            end

            def answer(key)
              says = fields.nested(:answers).one_of(key, Appraisal::Paper::Answer::WORDS.keys) || rest(key)
              says && Appraisal::Paper::Answer.new(says:, shown: sentence(key))
            end

            # What the rest of the questions is answered with one press.
            def rest(key) = (:not_told if fields.text(:rest) == "not_told" && fields.list(:asked).include?(key.to_s))

            # A sentence may be chosen before the question is answered.
            def sentences = Appraisal::Checklists::KEYS.to_h { |key| [key, sentence(key)] }.reject { |_, text| text.strip.empty? }

            # What was pressed beside a question takes the place of what was typed there.
            def sentence(key) = fields.nested(:take).some_text(key) || fields.nested(:shown).text(key)

            def concerns
              groups = Appraisal::Checklists::GROUPS.keys
              groups.filter_map do |group|
                concern = fields.nested(:concerns).one_of(group, Appraisal::Checklists::Concern::LEVELS)
                why = fields.nested(:concern_why).text(group)
                [group, Appraisal::Checklists::Concern::Set.new(concern:, why:)] if concern
              end.to_h
            end

            def applies
              sent = fields.nested(:applies)
              Appraisal::Paper::Applicability::PARTS.keys.to_h do |part|
                [part, sent.one_of(part, Appraisal::Paper::Applicability::NEAR.keys)]
              end.compact
            end
          end

          # An outcome: what it is, how it is put together, how sure it is.
          class OutcomeForm < Form
            include Decimals

            DEEDS = %i[write drop put_together judge].freeze
            private_constant :DEEDS

            def edit
              case fields.one_of(:do, DEEDS)
              when :write then Edits::Outcomes::Write.new(
                outcome_id: (id(:outcome, of: "outcome") if fields.sent?(:outcome)), given:
              )
              when :drop then Edits::Outcomes::Remove.new(outcome_id: outcome)
              when :put_together then Edits::Outcomes::Pool.new(outcome_id: outcome, way:)
              when :judge then Edits::Outcomes::JudgeCertainty.new(outcome_id: outcome, domain:,
                                                                   judgement: Judging.new(fields).call)
              else unknown
              end
            end

            def after(outcome)
              return Form::After.new if fields.text(:do) == "drop"

              written = outcome.opened.inquiry.weighing.outcomes.last
              return Form::After.new(list: { "paper" => fields.text(:paper), "numbers" => written.id.to_s }) if fields.some_text(:paper)

              Form::After.new(list: { "outcome" => fields.some_text(:outcome) || written.id.to_s,
                                      "part" => fields.some_text(:part) }.compact)
            end

            private

            def outcome = id(:outcome, of: "outcome")

            def given
              all = { name: fields.text(:name), kind: fields.some_text(:kind), better: fields.some_text(:better),
                      matters: fields.some_text(:matters) }.compact
              all[:worthwhile] = decimal(:worthwhile) if fields.sent?(:worthwhile)
              all[:arms] = arms if fields.sent?(:intervention)
              all[:baseline] = decimal(:baseline) if fields.sent?(:baseline)
              all
            end

            def arms
              CloseReading::Arms.new(intervention: fields.text(:intervention), comparison: fields.text(:comparison))
            end

            def way
              Appraisal::Outcome::Way.new(measure: fields.text(:measure), model: fields.text(:model),
                                          knapp: fields.checked?(:knapp), level: fields.number(:level))
            end

            def domain = fields.one_of(:domain, Appraisal::Certainty::DOMAINS.keys)
          end

          # What one paper gives for an outcome, and whether it counts.
          class ResultForm < Form
            include Decimals

            DEEDS = %i[write drop out back mend split count].freeze
            NAMES = Appraisal::Reported::Form::ALL.flat_map(&:names).uniq.freeze
            private_constant :DEEDS, :NAMES

            def edit
              case fields.one_of(:do, DEEDS)
              when :write then Edits::Results::Write.new(record_id:,
                                                         number: (result if fields.some_text(:result)), given:)
              when :drop then Edits::Results::Remove.new(record_id:, number: result)
              when :out, :back then Edits::Results::Count.new(record_id:, number: result,
                                                              counts: fields.text(:do) == "back")
              when :mend, :split, :count
                trap = fields.one_of(:trap, Appraisal::Synthesis::IntegrityWarnings::IntegrityWarning::KEYS)
                Edits::Results::SettleWarning.new(record_id:, number: result, trap:,
                                                  mend: fields.text(:do) == "split" ? :split : fields.text(:do) == "mend")
              else unknown
              end
            end

            # What was pressed on an outcome leads back to it.
            def after(_outcome)
              return Form::After.new(list: { "outcome" => fields.text(:outcome) }) unless %w[write
                                                                                             drop].include?(fields.text(:do))

              Form::After.new(list: { "paper" => record_id,
                                      "numbers" => fields.some_text(:outcome) || "yes" })
            end

            private

            def record_id = fields.text(:paper)
            def result = id(:result, of: "result")

            def given
              typed = NAMES.to_h { |name| [name, fields.text(name)] }.reject { |_, text| text.empty? }
              { outcome_id: id(:outcome, of: "outcome"), form: fields.text(:form), typed:,
                measure: fields.some_text(:measure),
                group: fields.text(:group), comparison: fields.text(:comparison), time: fields.text(:time),
                shown: fields.text(:shown), turned: fields.checked?(:turned), change: fields.checked?(:change),
                allocation: }
            end

            def allocation
              Appraisal::Reported::Allocation.new(kind: fields.some_text(:allocation) || :single, size: decimal(:cluster_size),
                                                  icc: decimal(:icc), correlation: decimal(:correlation),
                                                  adjusted: fields.checked?(:adjusted),
                                                  shared: fields.some_text(:shared) ? fields.number(:shared) : 1)
            end
          end

          # A finding of experience studies: its text, the papers that speak to it, how far to rely
          # on it.
          class FindingForm < Form
            DEEDS = %i[write drop judge].freeze
            # More papers than a finding can be held against one by one.
            MOST = 200
            private_constant :DEEDS, :MOST

            def edit
              case fields.one_of(:do, DEEDS)
              when :write then Edits::Findings::Write.new(
                finding_id: (finding if fields.some_text(:finding)), text: fields.text(:text), support:
              )
              when :drop then Edits::Findings::Remove.new(finding_id: finding)
              when :judge
                component = fields.one_of(:component, Appraisal::Finding::Confidence::COMPONENTS.keys)
                Edits::Findings::Judge.new(finding_id: finding, component:,
                                           judgement: Judging.new(fields).call)
              else unknown
              end
            end

            def after(_outcome)
              Form::After.new(list: { "show" => "findings",
                                      "finding" => fields.some_text(:finding) }.compact)
            end

            private

            def finding = id(:finding, of: "finding")

            # Papers come by their place in the form, since ids hold any letters.
            def support
              fields.list(:papers).first(MOST).each_with_index.filter_map do |paper, place|
                speaks = fields.nested(:speaks).one_of(place, Appraisal::Finding::Voice::WAYS.keys)
                [paper, Appraisal::Finding::Voice.new(speaks:, words: fields.nested(:words).text(place))] if speaks
              end.to_h
            end
          end
        end
      end
    end
  end
end
