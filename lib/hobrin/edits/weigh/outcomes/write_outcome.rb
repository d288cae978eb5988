# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Names a new outcome, or says otherwise what one is.
      #
      # outcome_id :: nil for a new one; given :: Hash of the attributes of an Appraisal::Outcome
      class WriteOutcome < OutcomeEdit
        attributes :outcome_id, :given

        # So many outcomes are more than a ward can keep in mind.
        MOST = 30
        private_constant :MOST

        def about(inquiry) = outcome_id ? super : NOTHING

        # Raises InputError, also for another kind while papers have given numbers of the old one.
        def call(inquiry, _surroundings)
          written = outcome_id ? changed(inquiry, outcome(inquiry)) : fresh(inquiry)
          Change.new(inquiry: put(inquiry, written), kind: :outcome_written,
                     facts: { name: written.name, outcome: written.id })
        end

        private

        def fresh(inquiry)
          weighing = inquiry.weighing
          raise InputError, { name: "Keep it to #{MOST} outcomes." } if weighing.outcomes.size >= MOST

          check_name(weighing.outcomes, given[:name])
          Appraisal::Outcome.new(id: weighing.next_outcome, **given)
        end

        def changed(inquiry, outcome)
          check_name(inquiry.weighing.outcomes - [outcome], given[:name])
          other_kind = given[:kind] && given[:kind] != outcome.kind
          if other_kind && inquiry.weighing.results(outcome.id).any?
            raise InputError,
                  { kind: "Papers have given numbers of the sort that it is now: take those away first." }
          end

          outcome.with(**given, **(other_kind ? { way: nil } : {}))
        end

        def check_name(others, name)
          same = others.any? { |other| other.name.casecmp?(name.to_s.strip) }
          raise InputError, { name: "There is an outcome of that name already." } if same
        end
      end
    end
  end
end
