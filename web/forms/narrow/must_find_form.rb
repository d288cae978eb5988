# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # A paper that the search is to find, or need not any more.
        class MustFindForm < PaperForm
          def self.step(fields) = fields.one_of(:from, %i[word trail]) || :narrow

          def edit
            removed = fields.some_text(:remove)
            return Edits::Papers::RemoveMustFind.new(record_id: removed) if removed

            Edits::Papers::AddMustFind.new(typed: fields.text(:known))
          end

          def after(outcome)
            super.then { |after| after.step ? after : after.with(step: self.class.step(fields)) }
          end
        end
      end
    end
  end
end
