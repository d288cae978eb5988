# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Takes a finding away.
      class DropFinding < Edit
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
    end
  end
end
