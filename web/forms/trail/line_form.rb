# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Trail
        # A line of the trail that is restored or noted on.
        class LineForm < Form
          # noting :: Services::Trails::NoteOnLine; id :: of the inquiry. The block restores. Gives an
          #   ApplyEdit::Outcome.
          def call(noting, id)
            case fields.text(:do)
            when "restore" then yield Edits::Trail::Restore.new(number:)
            when "note" then noting.call(id, number, written(:note),
                                         was: fields.text(:note_was))
            else unknown
            end
          end

          def after(outcome)
            return After.new(stay: { "line" => number.to_s }) unless outcome.change

            After.new(said: "Restored as it was after line #{number}.")
          end

          private

          def number = id(:line, of: "line")
        end
      end
    end
  end
end
