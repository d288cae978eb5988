# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Lets a paper in by hand, whatever the steps of the cascade say.
      class IncludeManually < Edit
        STEP = :narrow
        MOST = 200
        attributes :record_id
        private_constant :MOST

        # Raises GoneError for a paper that is not in the library; InputError (:let_in) past two
        # hundred.
        def call(inquiry, surroundings)
          record = surroundings.paper(record_id)
          ids = inquiry.included_ids | [record_id]
          if ids.size > MOST
            raise InputError,
                  { let_in: "#{MOST} papers can be added manually. Widen the search instead." }
          end

          Change.new(inquiry: inquiry.with(included_ids: ids), kind: :paper_included,
                     facts: { record: record_id, title: record.title })
        end
      end
    end
  end
end
