# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # What all edits of a limit that is there have in common. They are about the limits and their
      # order.
      #
      # slot :: of the limit, Symbol or String
      class LimitEdit < Edit
        STEP = :narrow
        KIND = nil

        def about(inquiry) = inquiry.limits

        # Raises GoneError when there is no such limit.
        def call(inquiry, _surroundings)
          limit = inquiry.limit(slot) or raise GoneError, "limit"
          Change.new(inquiry: inquiry.with(limits: changed(inquiry.limits, limit)), kind: self.class::KIND,
                     facts: { leaf: limit.leaf })
        end

        private

        # Hook: the limits after it.
        def changed(_limits, _limit) = raise(NotImplementedError)
      end
    end
  end
end
