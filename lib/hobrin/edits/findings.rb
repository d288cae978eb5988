# frozen_string_literal: true

module Hobrin
  module Edits
    # Everything that can be done to a qualitative finding.
    module Findings
      # Writes a finding of experience studies, with the papers that speak for it and against it.
      #
      # finding_id :: nil for a new one; text :: String; support :: Hash of record id to
      #   Appraisal::Finding::Voice
      class Write < Edit
        STEP = :weigh
        MOST = 40
        attributes :finding_id, :text, :support
        private_constant :MOST

        def about(inquiry) = finding_id ? inquiry.weighing.finding(finding_id) : NOTHING

        # Raises GoneError for a finding, or a paper, that is there no more.
        def call(inquiry, _surroundings)
          raise GoneError, "paper" unless (support.keys - inquiry.kept_ids).empty?

          finding = finding_id ? changed(inquiry) : fresh(inquiry)
          Change.new(inquiry: inquiry.with(weighing: inquiry.weighing.with_finding(finding)), kind: :finding_written,
                     facts: { text: finding.text })
        end

        private

        def changed(inquiry)
          (inquiry.weighing.finding(finding_id) || raise(GoneError, "finding")).with(text:,
                                                                                     support:)
        end

        def fresh(inquiry)
          raise InputError, { text: Book.t("edits.errors.most_findings", most: MOST) } if inquiry.weighing.findings.size >= MOST

          Appraisal::Finding.new(id: inquiry.weighing.next_finding, text:, support:)
        end
      end

      # Takes a finding away.
      class Remove < Edit
        STEP = :weigh
        attributes :finding_id

        def about(inquiry) = inquiry.weighing.finding(finding_id)

        def call(inquiry, _surroundings)
          finding = inquiry.weighing.finding(finding_id) || raise(GoneError, "finding")
          weighing = inquiry.weighing.without_finding(finding_id)
          Change.new(inquiry: inquiry.with(weighing:), kind: :finding_dropped,
                     facts: { text: finding.text })
        end
      end

      # Sets one component of the confidence in a finding otherwise than proposed, or takes that
      # back.
      #
      # component :: key of Appraisal::Finding::Confidence::COMPONENTS; judgement ::
      #   Appraisal::Outcome::Judgement, nil to go by what is proposed
      class Judge < Edit
        STEP = :weigh
        attributes :finding_id, :component, :judgement

        def about(inquiry) = inquiry.weighing.finding(finding_id)

        # Raises InputError for a component that is none, and for a step up.
        def call(inquiry, _surroundings)
          old = inquiry.weighing.finding(finding_id) || raise(GoneError, "finding")
          known = Appraisal::Finding::Confidence::COMPONENTS.key?(component)
          raise InputError, { steps: Book.t("edits.errors.steps") } if !known || judgement&.steps&.positive?

          judgements = judgement ? { **old.judgements, component => judgement } : old.judgements.except(component)
          Change.new(inquiry: inquiry.with(weighing: inquiry.weighing.with_finding(old.with(judgements:))),
                     kind: :finding_judged,
                     facts: { text: old.text, domain: Appraisal::Finding::Confidence::COMPONENTS.fetch(component),
                              steps: judgement&.steps, why: judgement&.why })
        end
      end
    end
  end
end
