# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Weigh: the appraisal of one kept paper.
      module Weigh
        TABLE = %i[events total comparison_events comparison_total].freeze
        private_constant :TABLE

        def self.registered(app)
          app.get("/inquiries/:id/weigh") { show :weigh }

          app.post("/inquiries/:id/weigh") do
            change(:weigh) do
              paper = Weigh.paper(fields)
              Services::WeighPaper.new(context, seen:).call(inquiry_id, paper)
              after = fields.one_of(:next, Inquiry::STEPS)
              next { next: after } if after && after != :weigh

              { paper: paper.record_id }
            end
          end
        end

        def self.paper(fields)
          Appraisal::Paper.new(
            record_id: fields.text(:paper), design: fields.text(:design), answers: answers(fields),
            table: table(fields),
            graded: fields.number(:graded) || 0, graded_why: fields.text(:graded_why).strip,
            outcome: fields.text(:outcome).strip, finding: fields.text(:finding).strip
          )
        end

        def self.answers(fields)
          given = fields.nested(:answers)
          questions = Appraisal::Sheet::QUESTIONS.values.flat_map(&:keys).uniq
          questions.to_h { |key| [key, given.one_of(key, Appraisal::ANSWERS.keys)] }.compact
        end

        # The four numbers; nil when none is given.
        def self.table(fields)
          numbers = TABLE.to_h { |name| [name, fields.number(name)] }
          numbers.values.none? ? nil : Statistics::TwoByTwo.new(**numbers)
        end
      end
    end
  end
end
