# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Takes a limit off.
      class RemoveLimit < LimitEdit
        attributes :slot
        KIND = :limit_removed

        private

        def changed(limits, limit) = limits - [limit]
      end
    end
  end
end
