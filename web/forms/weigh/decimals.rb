# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Weigh
        # Numbers with a decimal point or comma, as the core reads them.
        module Decimals
          private

          # Gives a Float, nil when blank. Raises InputError naming the field.
          def decimal(name)
            text = fields.some_text(name) or return
            Appraisal::Reported::Figures::Typed.number(text) || raise(InputError,
                                                                      { name => "Write a number, such as 3.5." })
          end
        end
      end
    end
  end
end
