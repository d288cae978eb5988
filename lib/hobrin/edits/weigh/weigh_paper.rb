# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Saves the appraisal of one kept paper.
      #
      # paper :: Appraisal::Paper
      class WeighPaper < Edit
        STEP = :weigh
        attributes :paper

        def about(inquiry) = inquiry.paper(paper.record_id)

        # Raises GoneError when that paper is not among the kept ones.
        def call(inquiry, surroundings)
          raise GoneError, "paper" unless inquiry.kept_ids.include?(paper.record_id)

          title = surroundings.paper(paper.record_id).title
          Change.new(inquiry: inquiry.with_paper(paper), kind: :paper_weighed,
                     facts: { record: paper.record_id, title: })
        end
      end
    end
  end
end
