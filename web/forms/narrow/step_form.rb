# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # What a press on a limit of the cascade does to it.
        class StepForm < Form
          def edit
            slot = fields.text(:name)
            case fields.text(:do)
            when "remove" then Edits::Narrow::RemoveLimit.new(slot:)
            when "switch" then Edits::Narrow::SwitchLimit.new(slot:)
            when "up" then Edits::Narrow::MoveLimitUp.new(slot:)
            else unknown
            end
          end
        end
      end
    end
  end
end
