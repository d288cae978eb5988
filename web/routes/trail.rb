# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # The trail, and going back and forth on it.
      module Trail
        def self.registered(app)
          app.get("/inquiries/:id/trail") { show :trail }

          # What was changed since a page of the inquiry was shown, or nothing.
          app.get("/inquiries/:id/since") do
            content_type :text
            Trail.since(Services::ReadInquiry.new(context), inquiry_id, seen)
          end

          app.get("/inquiries/:id/log.:format") do
            download Services::ExportTrail.new(context).call(inquiry_id, params["format"])
          end

          changes(app)
          going_back(app)
        end

        def self.changes(app)
          app.post("/inquiries/:id/trail") do
            change(:trail) do
              service = Services::ChangeTrail.new(context, seen:)
              number = fields.number(:line)
              raise GoneError, "line" unless number.is_a?(Integer) && number.between?(1, 2**31)

              Trail.press(service, inquiry_id, number, fields)
            end
          end

          app.post("/inquiries/:id/lines") do
            change(:trail) { Trail.lines(Services::ChangeLines.new(context, seen:), inquiry_id, fields) }
          end

          app.post("/inquiries/:id/again") do
            change(:trail) do
              Services::RunAgain.new(context).write(inquiry_id)
              { stay: { "again" => "yes" } }
            end
          end
        end

        def self.going_back(app)
          app.post("/inquiries/:id/undo") do
            change(:trail) { Trail.shown(Services::UndoChange.new(context, seen:).back(inquiry_id), "Undone") }
          end

          app.post("/inquiries/:id/redo") do
            change(:trail) { Trail.shown(Services::UndoChange.new(context, seen:).forth(inquiry_id), "Done again") }
          end
        end

        # Restores a line, or notes on it.
        def self.press(service, id, number, fields)
          if fields.text(:do) == "restore"
            service.restore(id, number)
            { said: "Restored as it was after line #{number}." }
          else
            service.note(id, number, fields.text(:note))
            { stay: { "line" => number.to_s } }
          end
        end
        private_class_method :changes, :going_back

        # Makes a line, or takes one off; the ones that were looked at stay open.
        def self.lines(service, id, fields)
          if fields.some_text(:remove)
            service.remove(id, fields.text(:remove))
            { said: "Took off “#{fields.text(:remove)}”." }
          else
            line = service.make(id, fields.text(:name), fields.text(:notation))
            { stay: { "line" => line.name }, said: "The line “#{line.name}” is #{line.rule}." }
          end
        end

        def self.since(service, id, seen)
          lines = seen ? service.elsewhere(id, seen, service.call(id).saved.version + 1) : []
          lines.empty? ? "" : "Changed in another window: #{lines.last(3).map(&:change).join("; ")}."
        end

        # The step where the change is seen.
        def self.shown(line, verb) = { next: line.step.to_sym, said: "#{verb}: #{line.change}." }
      end
    end
  end
end
