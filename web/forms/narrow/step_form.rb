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
            when "remove" then Edits::Limits::Remove.new(slot:)
            when "switch" then Edits::Limits::Switch.new(slot:)
            when "up" then Edits::Limits::MoveUp.new(slot:)
            else unknown
            end
          end
        end
      end
    end
  end
end
