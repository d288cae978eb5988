# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # The trail, and going back and forth on it.
      module Trail
        MOST_TOLD = 3
        private_constant :MOST_TOLD

        def self.registered(app)
          looking(app)
          app.post("/inquiries/:id/lines") { change :trail, Forms::Trail::NamedLineForm }
          app.post("/inquiries/:id/undo") { change :trail, Forms::Trail::UndoForm }
          app.post("/inquiries/:id/redo") { change :trail, Forms::Trail::RedoForm }

          app.post("/inquiries/:id/trail") do
            change(:trail, Forms::Trail::LineForm) do |form|
              form.call(Services::Trails::NoteOnLine.new(context), inquiry_id) { |edit| apply(edit) }
            end
          end

          app.post("/inquiries/:id/again") do
            change(:trail, Forms::Trail::AgainForm) do |form|
              form.call(Services::Trails::RunAgain.new(context), Services::Narrow::OtherCatalogues::Ask.new(context), inquiry_id)
            end
          end
        end

        def self.looking(app)
          app.get("/inquiries/:id/trail") { show :trail }

          # What was changed since a page of the inquiry was shown, or nothing.
          app.get("/inquiries/:id/since") do
            content_type :text
            headers Here::HEADER => here(fields.text(:step))
            lines = seen ? Services::Inquiries::Read.new(context).elsewhere(inquiry_id, seen) : []
            Trail.told(lines)
          end

          app.get("/inquiries/:id/log.:format") do
            download Services::Trails::Export.new(context).call(inquiry_id, params["format"])
          end
        end

        def self.told(lines)
          return "" if lines.empty?

          "Changed in another window: #{lines.last(MOST_TOLD).map(&:change).join("; ")}."
        end
        private_class_method :looking
      end
    end
  end
end
