# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Act: the brief, its words, and the evidence set as files.
      module Act
        def self.registered(app)
          app.get("/inquiries/:id/act") { show :act }

          app.post("/inquiries/:id/act") do
            change(:act) do
              plan = Brief::ChangePlan.new(**Brief::ChangePlan::PROMPTS.keys.to_h { |name| [name, fields.text(name)] })
              service = Services::WriteBrief.new(context, seen:)
              service.call(inquiry_id, conclusion: fields.text(:conclusion), plan:)
              { next: fields.one_of(:next, Inquiry::STEPS) }
            end
          end

          app.get("/inquiries/:id/evidence.:format") do
            download Services::ExportEvidence.new(context).call(inquiry_id, params["format"])
          end
        end
      end
    end
  end
end
