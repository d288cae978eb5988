# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Act
        # What speaks for and against a change, and what is decided.
        class DeliberationForm < Form
          def edit = Edits::Practice::Decide.new(considerations:, decision: fields.text(:decision))

          def after(_outcome)
            step = fields.one_of(:next, Inquiry::STEPS)
            step && step != :act ? After.new(step:) : After.new(list: { "show" => "decision" })
          end

          private

          def considerations
            Brief::Acting::Consideration::ALL.keys.to_h do |key|
              mark = fields.nested(:marks).some_text(key)
              number = mark && (Integer(mark, 10, exception: false) || :none)
              [key, Brief::Acting::Consideration.new(mark: number, line: fields.nested(:lines).text(key))]
            end
          end
        end
      end
    end
  end
end
