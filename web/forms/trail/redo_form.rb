# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Trail
        # One change forth again.
        class RedoForm < UndoForm
          VERB = "Done again"

          def edit = Edits::Trail::Redo.new
        end
      end
    end
  end
end
