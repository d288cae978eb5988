# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Weigh
        # The appraisal of one kept paper.
        class SheetForm < Form
          TABLE = %i[events total comparison_events comparison_total].freeze
          private_constant :TABLE

          def edit = Edits::Weigh::WeighPaper.new(paper:)

          def after(_outcome)
            step = fields.one_of(:next, Inquiry::STEPS)
            step && step != :weigh ? After.new(step:) : After.new(paper: fields.text(:paper))
          end

          private

          def paper
            Appraisal::Paper.new(
              record_id: fields.text(:paper), design: fields.text(:design), reviewed: fields.text(:reviewed),
              answers:, table:,
              graded: fields.number(:graded) || 0, graded_why: fields.text(:graded_why).strip,
              outcome: fields.text(:outcome).strip, finding: fields.text(:finding).strip
            )
          end

          def answers
            given = fields.nested(:answers)
            questions = Appraisal::Sheet::QUESTIONS.values.flat_map(&:keys).uniq
            questions.to_h { |key| [key, given.one_of(key, Appraisal::ANSWERS.keys)] }.compact
          end

          # The four numbers; nil when none is given.
          def table
            numbers = TABLE.to_h { |name| [name, fields.number(name)] }
            numbers.values.none? ? nil : Statistics::TwoByTwo.new(**numbers)
          end
        end
      end
    end
  end
end
