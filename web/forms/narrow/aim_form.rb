# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # One of the usual aims, or the two numbers that were typed.
        class AimForm < Form
          def edit
            usual = Narrowing::Target::USUAL[fields.text(:usual)]
            from, to = usual || [fields.number(:aim_from), fields.number(:aim_to)]
            Edits::Limits::SetTarget.new(aim: Narrowing::Target.new(from:, to:))
          end
        end
      end
    end
  end
end
