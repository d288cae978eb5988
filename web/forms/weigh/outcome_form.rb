# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Weigh
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
            return After.new if fields.text(:do) == "drop"

            written = outcome.opened.inquiry.weighing.outcomes.last
            return After.new(list: { "paper" => fields.text(:paper), "numbers" => written.id.to_s }) if fields.some_text(:paper)

            After.new(list: { "outcome" => fields.some_text(:outcome) || written.id.to_s,
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
      end
    end
  end
end
