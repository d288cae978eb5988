# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Trail
        # The search run again is written to the trail; other catalogues are asked again, too, where
        # that was pressed.
        class AgainForm < Form
          include AskedAgain

          # running :: Services::Trails::RunAgain; asking :: Services::Narrow::OtherCatalogues::Ask. Gives an ApplyEdit::Outcome.
          def call(running, asking, id)
            outcome = running.write(id)
            fields.text(:do) == "everywhere" ? ask_again(asking, id) : outcome
          end

          def after(_outcome) = After.new(stay: { "again" => "yes" }, said: @said)
        end
      end
    end
  end
end
