# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Trail
        # One change back.
        class UndoForm < Form
          VERB = "Undone"

          def edit = Edits::Trail::Undo.new

          # The step where the change is seen.
          def after(outcome)
            change = outcome.change
            words = Edits::Wording.of(change.facts[:kind].to_sym, change.facts[:facts])
            After.new(step: change.step, said: "#{self.class::VERB}: #{words}.")
          end
        end
      end
    end
  end
end
