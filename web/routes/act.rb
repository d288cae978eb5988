# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Act: the brief, its words, what speaks for and against, what is measured, and the evidence
      # set as files.
      module Act
        def self.registered(app)
          app.get("/inquiries/:id/act") { show :act }
          app.post("/inquiries/:id/act") { change :act, Forms::Act::BriefForm }
          app.post("/inquiries/:id/deliberation") { change :act, Forms::Act::DeliberationForm }
          app.post("/inquiries/:id/measures") { change :act, Forms::Act::MeasureForm }

          app.get("/inquiries/:id/archive.json") { download Services::KeepArchive.new(context).write(inquiry_id) }
          app.get("/inquiries/:id/evidence.:format") do
            download Services::ExportEvidence.new(context).call(inquiry_id, params["format"])
          end
        end
      end
    end
  end
end
