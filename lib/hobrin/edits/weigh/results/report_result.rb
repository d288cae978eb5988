# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Writes down what a paper gives for an outcome, or changes that.
      #
      # number :: nil for a new result; given :: Hash of the attributes of an Appraisal::Reported
      #   but its number
      class ReportResult < ResultEdit
        attributes :record_id, :number, :given

        # Of one paper, arms and times together.
        MOST = 20
        private_constant :MOST

        def about(inquiry) = number ? super : NOTHING

        # Raises GoneError for a paper that is not kept or an outcome that is gone, InputError for
        # numbers that cannot be, and where nobody said how the paper was made and its labels do
        # not either.
        def call(inquiry, surroundings)
          raise GoneError, "paper" unless inquiry.kept_ids.include?(record_id)

          kind = (inquiry.weighing.outcome(given[:outcome_id]) || raise(GoneError, "outcome")).sort
          raise InputError, { form: "Choose what the paper gives." } unless kind.forms.include?(given[:form])

          paper = inquiry.paper(record_id) || unweighed(surroundings)
          written = number ? result(inquiry).with(**given) : Appraisal::Reported.new(number: fresh(paper), **given)
          raise InputError, written.questions if written.questions.any?

          Change.new(inquiry: inquiry.with_paper(paper.with_result(written)), kind: :result_written,
                     facts: named(inquiry, surroundings, written))
        end

        private

        def fresh(paper)
          raise InputError, { form: "Keep it to #{MOST} results of a paper." } if paper.reported.size >= MOST

          paper.next_result
        end

        def unweighed(surroundings)
          design = Appraisal::Design.proposed(surroundings.paper(record_id))
          raise InputError, { form: "Say first how the study was made." } unless design

          Appraisal::Paper.new(record_id:, design: design.key)
        end
      end
    end
  end
end
