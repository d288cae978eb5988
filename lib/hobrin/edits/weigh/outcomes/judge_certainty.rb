# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
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
          raise InputError, { steps: "Choose how many steps." } if !known || wrong
        end
      end
    end
  end
end
