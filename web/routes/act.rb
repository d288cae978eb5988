# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Act: the brief, its words, what speaks for and against, the steps of a change, what is
      # measured, signing and sharing, and all of it as files.
      module Act
        def self.registered(app)
          changing(app)
          sharing(app)
          reporting(app)
          saving(app)
        end

        def self.changing(app)
          app.get("/inquiries/:id/act") { show :act }
          app.post("/inquiries/:id/act") { change :act, Forms::Act::BriefForm }
          app.post("/inquiries/:id/deliberation") { change :act, Forms::Act::DeliberationForm }
          app.post("/inquiries/:id/measures") { change :act, Forms::Act::MeasureForm }

          app.post("/inquiries/:id/steps") { change :act, Forms::Act::StepsForm }

          app.post("/inquiries/:id/signatures") do
            change(:act, Forms::Act::SignForm) do |form|
              Services::Act::SignBrief.new(context, seen:).call(inquiry_id, person_here&.name || form.signer, reason: form.reason)
            end
          end
        end

        def self.sharing(app)
          app.post("/inquiries/:id/address") do
            shares = Services::Act::ShareBrief.new(context)
            fields.text(:do) == "take_back" ? shares.take_back(inquiry_id) : shares.open(inquiry_id, days: fields.number(:days))
            leave_for "/inquiries/#{inquiry_id}/act?show=versions"
          end

          app.get("/shared/:token") { show_shared(params["token"]) }
        end

        def self.reporting(app)
          app.get("/inquiries/:id/files/:name") do
            opened = Services::Inquiries::Read.new(context).call(inquiry_id)
            address = shared_address(inquiry_id)
            files = Services::Act::MakeFile.new(context, style: fields.text(:style), address:)
            give files.call(opened, *params["name"].partition(".").values_at(0, 2))
          end

          versions(app)
        end

        def self.versions(app)
          app.get("/inquiries/:id/versions/:name") do
            opened = Services::Inquiries::Read.new(context).call(inquiry_id)
            number, _, ending = params["name"].partition(".")
            report = Services::Act::Versions.new(context).report(opened, number.to_i)
            download Services::Act::Export.new(context).written(report, inquiry_id, "brief", ending)
          end
        end

        def self.saving(app)
          app.get("/inquiries/:id/archive.json") do
            download Services::Archives.new(context).write(inquiry_id, situation: fields.checked?(:situation))
          end
          app.get("/inquiries/:id/evidence.:format") do
            download Services::Act::ExportEvidence.new(context).call(inquiry_id, params["format"])
          end
        end
        private_class_method :changing, :sharing, :reporting, :versions, :saving
      end
    end
  end
end
