# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # No longer lets a paper in by hand.
      class Release < Edit
        STEP = :narrow
        attributes :record_id

        # Raises GoneError for a paper that is not in the library.
        def call(inquiry, surroundings)
          title = surroundings.paper(record_id).title
          Change.new(inquiry: inquiry.with(included_ids: inquiry.included_ids - [record_id]), kind: :paper_released,
                     facts: { record: record_id, title: })
        end
      end
    end
  end
end
