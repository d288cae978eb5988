# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Trail
        # The search run again is written to the trail.
        class AgainForm < Form
          def after(_outcome) = After.new(stay: { "again" => "yes" })
        end
      end
    end
  end
end
