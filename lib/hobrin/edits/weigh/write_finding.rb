# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Writes a finding of experience studies, with the papers that speak for it and against it.
      #
      # finding_id :: nil for a new one; text :: String; support :: Hash of record id to
      #   Appraisal::Finding::Voice
      class WriteFinding < Edit
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
          raise InputError, { text: "Keep it to #{MOST} findings." } if inquiry.weighing.findings.size >= MOST

          Appraisal::Finding.new(id: inquiry.weighing.next_finding, text:, support:)
        end
      end
    end
  end
end
