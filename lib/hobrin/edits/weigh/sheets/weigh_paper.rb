# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Saves the sheet of one kept paper; what it gives for outcomes stays as it is.
      #
      # paper :: Appraisal::Paper
      class WeighPaper < Edit
        STEP = :weigh
        attributes :paper

        def about(inquiry) = inquiry.paper(paper.record_id)&.with(reported: [])

        # Raises GoneError when that paper is not among the kept ones.
        def call(inquiry, surroundings)
          raise GoneError, "paper" unless inquiry.kept_ids.include?(paper.record_id)

          title = surroundings.paper(paper.record_id).title
          reported = inquiry.paper(paper.record_id)&.reported || []
          Change.new(inquiry: inquiry.with_paper(paper.with(reported:)), kind: :paper_weighed,
                     facts: { record: paper.record_id, title: })
        end
      end
    end
  end
end
