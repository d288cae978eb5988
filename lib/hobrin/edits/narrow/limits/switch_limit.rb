# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Switches a limit off, or on again; it keeps its place.
      class SwitchLimit < LimitEdit
        attributes :slot
        KIND = :limit_switched

        private

        def changed(limits, limit)
          limits.map { |other| other == limit ? limit.with(on: !limit.on) : other }
        end
      end
    end
  end
end
