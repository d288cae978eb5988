# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Moves a limit one place up; the first one stays.
      class MoveLimitUp < LimitEdit
        attributes :slot
        KIND = :limit_moved

        private

        def changed(limits, limit)
          place = limits.index(limit)
          place.zero? ? limits : limits.dup.tap { |list| list.insert(place - 1, list.delete_at(place)) }
        end
      end
    end
  end
end
