# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Sift: one paper open, one decision at a time.
      module Sift
        def self.registered(app)
          app.get("/inquiries/:id/sift") { show :sift }

          app.post("/inquiries/:id/decisions") do
            change(:sift) do
              Sift.decide(Services::DecidePaper.new(context), inquiry_id, fields)
              standing = Services::ReadInquiry.new(context).call(inquiry_id)
              paper = fields.text(:paper)
              paper = Services::ReadSift.new(context).following(standing, paper) unless fields.text(:verdict) == "none"
              { paper:, query: "?paper=#{Rack::Utils.escape(paper)}" }
            end
          end
        end

        def self.decide(service, id, fields)
          paper = fields.text(:paper)
          return service.take_back(id, paper) if fields.text(:verdict) == "none"

          reason = Sifting::REASONS.find { |known| known == fields.text(:reason) }
          verdict = reason ? :drop : fields.one_of(:verdict, Sifting::Decision::VERDICTS)
          raise InputError, { verdict: "Keep it, drop it, or say you are unsure." } unless verdict

          service.call(id, paper, verdict:, reason:, note: fields.text(:note))
        end
      end
    end
  end
end
