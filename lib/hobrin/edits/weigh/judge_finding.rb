# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Sets one component of the confidence in a finding otherwise than proposed, or takes that
      # back.
      #
      # component :: key of Appraisal::Findings::Confidence::COMPONENTS; judgement ::
      #   Appraisal::Outcome::Judgement, nil to go by what is proposed
      class JudgeFinding < Edit
        STEP = :weigh
        attributes :finding_id, :component, :judgement

        def about(inquiry) = inquiry.weighing.finding(finding_id)

        # Raises InputError for a component that is none, and for a step up.
        def call(inquiry, _surroundings)
          old = inquiry.weighing.finding(finding_id) || raise(GoneError, "finding")
          known = Appraisal::Findings::Confidence::COMPONENTS.key?(component)
          raise InputError, { steps: "Choose how many steps." } if !known || judgement&.steps&.positive?

          judgements = judgement ? { **old.judgements, component => judgement } : old.judgements.except(component)
          Change.new(inquiry: inquiry.with(weighing: inquiry.weighing.with_finding(old.with(judgements:))),
                     kind: :finding_judged,
                     facts: { text: old.text, domain: Appraisal::Findings::Confidence::COMPONENTS.fetch(component),
                              steps: judgement&.steps, why: judgement&.why })
        end
      end
    end
  end
end
