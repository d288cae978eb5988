# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # A finding of the check that is mended, by its name.
        class FindingForm < Form
          def edit = Edits::SearchCheck::MendFinding.new(name: fields.text(:finding))
          def after(_outcome) = After.new(stay: { "show" => "check" })
        end
      end
    end
  end
end
