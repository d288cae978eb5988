# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Sets how many papers a person can read.
      #
      # aim :: Narrowing::Aim
      class SetAim < Edit
        STEP = :narrow
        attributes :aim

        def about(inquiry) = inquiry.aim

        def call(inquiry, _surroundings)
          Change.new(inquiry: inquiry.with(aim:), kind: :aim_set,
                     facts: { from: aim.from, to: aim.to })
        end
      end
    end
  end
end
