# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # What all edits of the decision on one paper have in common.
      #
      # record_id :: of the paper
      class PaperEdit < Edit
        STEP = :sift

        def about(inquiry) = inquiry.decision(record_id)

        private

        # Raises GoneError for a paper that is not in the library.
        def change(inquiry, surroundings, kind, **facts)
          Change.new(inquiry:, kind:,
                     facts: { record: record_id, title: surroundings.paper(record_id).title, **facts })
        end
      end
    end
  end
end
