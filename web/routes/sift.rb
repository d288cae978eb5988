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
              paper = fields.text(:paper)
              decided = Sift.decide(Services::DecidePaper.new(context, seen:), inquiry_id, paper, fields)
              paper = Services::ReadSift.new(context).following(inquiry_id, paper) if decided
              { paper: }
            end
          end
        end

        # Whether the paper was decided, so that the next one may open: a note alone, or a decision taken
        # back, leaves it open.
        def self.decide(service, id, paper, fields)
          reason = Sifting::REASONS.find { |known| known == fields.text(:reason) }
          verdict = reason ? :drop : fields.one_of(:verdict, Sifting::Decision::VERDICTS)
          return service.call(id, paper, verdict:, reason:, note: fields.text(:note)) if verdict

          if fields.text(:verdict) == "none"
            service.take_back(id, paper)
          else
            service.annotate(id, paper, fields.text(:note))
          end
          false
        end
      end
    end
  end
end
