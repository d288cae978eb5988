# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Trail
        # The trail, and going back and forth on it.
        module Routes
          extend Routing

          MOST_TOLD = 3
          private_constant :MOST_TOLD

          post("/inquiries/:id/lines", needs: :works) { change :trail, NamedLineForm }
          post("/inquiries/:id/undo", needs: :works) { change :trail, UndoForm }
          post("/inquiries/:id/redo", needs: :works) { change :trail, RedoForm }

          post("/inquiries/:id/trail", needs: :works) do
            change(:trail, LineForm) do |form|
              form.call(Services::Trails::NoteOnLine.new(context), inquiry_id) { |edit| apply(edit) }
            end
          end

          post("/inquiries/:id/again", needs: :works) do
            change(:trail, AgainForm) do |form|
              form.call(Services::Trails::RunAgain.new(context), Services::Narrow::OtherCatalogues::Ask.new(context), inquiry_id)
            end
          end

          get("/inquiries/:id/trail", needs: :reads) { show :trail }

          # What was changed since a page of the inquiry was shown, or nothing.
          get("/inquiries/:id/since", needs: :reads) do
            content_type :text
            headers Helpers::Here::HEADER => here(fields.text(:step))
            lines = seen ? Services::Inquiries::Read.new(context).elsewhere(inquiry_id, seen) : []
            Routes.told(lines)
          end

          get("/inquiries/:id/log.:format", needs: :reads) do
            download Services::Trails::Export.new(context).call(inquiry_id, params["format"])
          end

          def self.told(lines)
            return "" if lines.empty?

            Book.t("trail.page.changed_elsewhere", changes: lines.last(MOST_TOLD).map(&:change).join("; "))
          end

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
              return Form::After.new(stay: { "line" => number.to_s }) unless outcome.change

              Form::After.new(said: Book.t("trail.page.restored", line: number))
            end

            private

            def number = id(:line, of: "line")
          end

          # A line that is named or made of others, or taken off; the ones that were looked at stay
          # open.
          class NamedLineForm < Form
            def edit
              return Edits::Trail::RemoveLine.new(name: fields.text(:remove)) if fields.some_text(:remove)

              tree = Strategy::Lines::LineNotation.read(fields.text(:notation))
              Edits::Trail::NameLine.new(name: fields.text(:name), tree:)
            end

            def after(outcome)
              name, rule = outcome.change.facts.values_at(:name, :rule)
              return Form::After.new(said: Book.t("trail.page.removed", name:)) unless rule

              Form::After.new(stay: { "line" => name }, said: Book.t("trail.page.saved", name:, rule:))
            end
          end

          # One change back.
          class UndoForm < Form
            VERB = Book.t("trail.page.undone")

            def edit = Edits::Trail::Undo.new

            # The step where the change is seen.
            def after(outcome)
              change = outcome.change
              words = Edits::Wording.of(change.facts[:kind].to_sym, change.facts[:facts])
              Form::After.new(step: change.step, said: "#{self.class::VERB}: #{words}.")
            end
          end

          # One change forth again.
          class RedoForm < UndoForm
            VERB = Book.t("trail.page.redone")

            def edit = Edits::Trail::Redo.new
          end

          # The search run again is written to the trail; other catalogues are asked again, too, where
          # that was pressed.
          class AgainForm < Form
            include Form::AskedAgain

            # running :: Services::Trails::RunAgain; asking :: Services::Narrow::OtherCatalogues::Ask. Gives an ApplyEdit::Outcome.
            def call(running, asking, id)
              outcome = running.write(id)
              fields.text(:do) == "everywhere" ? ask_again(asking, id) : outcome
            end

            def after(_outcome) = Form::After.new(stay: { "again" => "yes" }, said: @said)
          end
        end
      end
    end
  end
end
