# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Hobrin as a catalogue for others: searched over SRU, harvested over OAI-PMH, followed by a
      # feed.
      module Catalogue
        XML = "text/xml;charset=utf-8"
        private_constant :XML

        def self.registered(app)
          answering(app)
          feeds(app)
        end

        def self.answering(app)
          app.get("/sru") do
            content_type XML
            Services::Catalogues::AnswerSru.new(context, lines: known_here?).call(plain_params, host: request.host,
                                                                                                port: request.port)
          end

          app.get("/oai") do
            content_type XML
            Services::Catalogues::AnswerOai.new(context).call(plain_params, address: "#{request.base_url}/oai")
          end
        end

        def self.feeds(app)
          app.get("/inquiries/:id/feed/:token") do
            home = request.base_url
            file = Services::Catalogues::Feed.new(context).call(inquiry_id, params["token"], home:,
                                                                                             address: "#{home}#{request.path}")
            content_type file.type
            file.body
          end

          app.post("/inquiries/:id/feed") do
            feeds = Services::Catalogues::Feed.new(context)
            fields.text(:do) == "open" ? feeds.open(inquiry_id, days: fields.number(:days)) : feeds.take_back(inquiry_id)
            query = { "show" => "elsewhere", "source" => fields.some_text(:source) }.compact
            leave_for "/inquiries/#{inquiry_id}/narrow?#{Rack::Utils.build_query(query)}"
          end
        end
        private_class_method :answering, :feeds
      end
    end
  end
end
