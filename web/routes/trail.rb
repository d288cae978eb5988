# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # The trail, and going back and forth on it.
      module Trail
        def self.registered(app)
          app.get("/inquiries/:id/trail") { show :trail }

          # Whether the inquiry was changed since a page of it was shown: what changed, or nothing.
          app.get("/inquiries/:id/since") do
            service = Services::ReadInquiry.new(context)
            lines = service.elsewhere(inquiry_id, seen || 0, service.call(inquiry_id).saved.version + 1)
            content_type :text
            seen && lines.any? ? "Changed in another window: #{lines.last(3).map(&:change).join("; ")}." : ""
          end

          app.post("/inquiries/:id/undo") do
            change(:trail) { Trail.shown(Services::UndoChange.new(context, seen:).back(inquiry_id), "Undone") }
          end

          app.post("/inquiries/:id/redo") do
            change(:trail) { Trail.shown(Services::UndoChange.new(context, seen:).forth(inquiry_id), "Done again") }
          end
        end

        # The step where the change is seen.
        def self.shown(line, verb) = { next: line.step.to_sym, said: "#{verb}: #{line.change}." }
      end
    end
  end
end
