# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # The search need not find this paper any more.
      class RemoveMustFind < Edit
        STEP = :narrow
        attributes :record_id

        def call(inquiry, _surroundings)
          Change.new(inquiry: inquiry.with(must_find: inquiry.must_find - [record_id]), kind: :must_find_removed,
                     facts: { record: record_id })
        end
      end
    end
  end
end
