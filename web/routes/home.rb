# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # The first page: the inquiries, and a box to start one.
      module Home
        def self.registered(app)
          app.get("/") { show_home }

          app.post("/inquiries") do
            id = Services::StartInquiry.new(context).call(fields.text(:question))
            leave_for "/inquiries/#{id}/ask"
          rescue InputError => e
            status 422
            @errors = e.errors
            show_home(question: fields.text(:question))
          end

          app.get("/inquiries/:id") do
            standing = Services::ReadInquiry.new(context).call(inquiry_id)
            redirect to("/inquiries/#{inquiry_id}/#{standing.saved.step}"), 303
          end

          app.post("/inquiries/:id/delete") do
            Services::DeleteInquiry.new(context).call(inquiry_id)
            leave_for "/"
          end
        end
      end
    end
  end
end
