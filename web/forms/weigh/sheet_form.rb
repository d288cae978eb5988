# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Weigh
        # The sheet of one kept paper.
        class SheetForm < Form
          def edit = Edits::Appraise::SaveAppraisal.new(paper:)

          # Whether one of two who weigh apart is done with it.
          def done? = fields.text(:do) == "done"

          def after(_outcome)
            step = fields.one_of(:next, Inquiry::STEPS)
            step && step != :weigh ? After.new(step:) : After.new(paper: fields.text(:paper))
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
      end
    end
  end
end
