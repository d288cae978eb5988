# frozen_string_literal: true

module Hobrin
  module Edits
    # Everything that can be done to an outcome.
    module Outcomes
      # What all edits of one outcome have in common. A subclass has the attribute outcome_id.
      class OutcomeEdit < Edit
        STEP = :weigh

        def about(inquiry) = inquiry.weighing.outcome(outcome_id)

        private

        # Raises GoneError for one that is there no more.
        def outcome(inquiry) = inquiry.weighing.outcome(outcome_id) || raise(GoneError, "outcome")
        def put(inquiry, outcome) = inquiry.with(weighing: inquiry.weighing.with_outcome(outcome))
      end

      # Names a new outcome, or says otherwise what one is.
      #
      # outcome_id :: nil for a new one; given :: Hash of the attributes of an Appraisal::Outcome
      class Write < OutcomeEdit
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
          raise InputError, { name: Book.t("edits.errors.most_outcomes", most: MOST) } if weighing.outcomes.size >= MOST

          check_name(weighing.outcomes, given[:name])
          Appraisal::Outcome.new(id: weighing.next_outcome, **given)
        end

        def changed(inquiry, outcome)
          check_name(inquiry.weighing.outcomes - [outcome], given[:name])
          other_kind = given[:kind] && given[:kind] != outcome.kind
          if other_kind && inquiry.weighing.results(outcome.id).any?
            raise InputError,
                  { kind: Book.t("edits.errors.has_results") }
          end

          outcome.with(**given, **(other_kind ? { way: nil } : {}))
        end

        def check_name(others, name)
          same = others.any? { |other| other.name.casecmp?(name.to_s.strip) }
          raise InputError, { name: Book.t("edits.errors.outcome_taken") } if same
        end
      end

      # Takes an outcome away, with what papers gave for it.
      class Remove < OutcomeEdit
        attributes :outcome_id

        def about(inquiry) = [super, inquiry.weighing.results(outcome_id)]

        def call(inquiry, _surroundings)
          name = outcome(inquiry).name
          weighing = inquiry.weighing.without_outcome(outcome_id)
          Change.new(inquiry: inquiry.with(weighing:), kind: :outcome_dropped,
                     facts: { name: })
        end
      end

      # Says how the results of an outcome are put together.
      #
      # way :: Appraisal::Outcome::Way
      class Pool < OutcomeEdit
        attributes :outcome_id, :way

        # Raises InputError for a measure that the outcome does not have.
        def call(inquiry, _surroundings)
          old = outcome(inquiry)
          raise InputError, { measure: Book.t("edits.errors.measure") } unless old.sort.measures.include?(way.measure)

          changed = old.with(way:)
          Change.new(inquiry: put(inquiry, changed), kind: :put_together,
                     facts: { name: old.name, measure: changed.measure.name, model: Appraisal::Outcome::Way::MODELS.fetch(way.model),
                              level: way.level })
        end
      end

      # Sets one reason of an outcome's certainty otherwise than proposed, or takes that back.
      #
      # domain :: key of Appraisal::Certainty::DOMAINS; judgement :: Appraisal::Outcome::Judgement,
      #   nil to go by what is proposed
      class JudgeCertainty < OutcomeEdit
        attributes :outcome_id, :domain, :judgement

        # Raises InputError for a domain that is none, and for a step that leads the wrong way.
        def call(inquiry, _surroundings)
          old = outcome(inquiry)
          check
          judgements = judgement ? { **old.judgements, domain => judgement } : old.judgements.except(domain)
          Change.new(inquiry: put(inquiry, old.with(judgements:)), kind: :certainty_judged,
                     facts: { name: old.name, domain: Appraisal::Certainty::DOMAINS.fetch(domain),
                              steps: judgement&.steps, why: judgement&.why })
        end

        private

        def check
          known = Appraisal::Certainty::DOMAINS.key?(domain)
          up = Appraisal::Certainty::UP.include?(domain)
          wrong = judgement && (up ? judgement.steps.negative? : judgement.steps.positive?)
          raise InputError, { steps: Book.t("edits.errors.steps") } if !known || wrong
        end
      end
    end
  end
end
