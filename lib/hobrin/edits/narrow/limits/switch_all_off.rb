# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Switches every limit off, each still at its place.
      class SwitchAllOff < Edit
        STEP = :narrow
        attributes

        def about(inquiry) = inquiry.limits

        def call(inquiry, _surroundings)
          off = inquiry.limits.map { |limit| limit.with(on: false) }
          Change.new(inquiry: inquiry.with(limits: off), kind: :limits_switched_off)
        end
      end
    end
  end
end
