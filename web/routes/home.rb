# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # The first page: the inquiries, and a box to start one.
      module Home
        def self.registered(app)
          app.get("/") { show_alone :home, title: "Inquiries", **Home.locals(context) }

          app.post("/inquiries") do
            id = Services::StartInquiry.new(context).call(fields.text(:question))
            htmx? ? headers("HX-Redirect" => "/inquiries/#{id}/ask") : redirect(to("/inquiries/#{id}/ask"), 303)
          rescue InputError => e
            status 422
            @errors = e.errors
            show_alone :home, title: "Inquiries", **Home.locals(context), question: fields.text(:question)
          end

          app.get("/inquiries/:id") do
            redirect to("/inquiries/#{inquiry_id}/#{context.inquiries.find(inquiry_id).step}"), 303
          end

          app.post("/inquiries/:id/delete") do
            Services::DeleteInquiry.new(context).call(inquiry_id)
            htmx? ? headers("HX-Redirect" => "/") : redirect(to("/"), 303)
          end
        end

        def self.locals(context)
          { cards: Services::ListInquiries.new(context).call, sample: context.library.sample?, question: "",
            papers: context.library.size }
        end
      end
    end
  end
end
