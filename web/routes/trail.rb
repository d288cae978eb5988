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

          app.post("/inquiries/:id/undo") do
            change(:trail) { Trail.shown(Services::UndoChange.new(context, seen:).back(inquiry_id), "Undone") }
          end

          app.post("/inquiries/:id/redo") do
            change(:trail) { Trail.shown(Services::UndoChange.new(context, seen:).forth(inquiry_id), "Done again") }
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
