# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # The first page: the inquiries, and a box to start one.
      module Home
        def self.registered(app)
          starting(app)
          opening(app)
          keeping(app)
        end

        def self.starting(app)
          app.get("/") { show_home }

          app.post("/inquiries") do
            Lengths.check(params)
            id = Services::Inquiries::Start.new(context).call(fields.text(:question))
            leave_for "/inquiries/#{id}/ask"
          rescue InputError => e
            answer_refused
            show_home(errors: e.errors, question: fields.text(:question))
          end
        end

        def self.opening(app)
          # Where it was left, or else where it was changed last.
          app.get("/inquiries/:id") do
            saved = Services::Inquiries::Read.new(context).call(inquiry_id).saved
            redirect to("/inquiries/#{saved.id}/#{Visits.new(session).step(saved.id) || saved.step}"),
                     303
          end
        end

        # Taken away and brought back, put aside and taken up again, copied, or opened from a file.
        def self.keeping(app)
          app.post("/inquiries/:id/delete") { at_home { Services::Inquiries::Delete.new(context).call(inquiry_id) } }
          app.post("/inquiries/:id/aside") { at_home { Services::Inquiries::PutAside.new(context).call(inquiry_id) } }
          app.post("/inquiries/:id/back") { at_home { Services::Inquiries::PutAside.new(context).back(inquiry_id) } }
          app.post("/inquiries/:id/copy") { leave_for "/inquiries/#{Services::Inquiries::Copy.new(context).call(inquiry_id)}" }

          app.post("/taken-along") do
            not_found if signing_in_required?
            Services::Sharing::TakeAlong.new(context).call
            leave_for "/"
          end

          app.post("/archives") do
            leave_for "/inquiries/#{Services::Inquiries::Copy.new(context).open(sent_text(:archive))}"
          rescue InputError => e
            answer_refused
            show_home(errors: e.errors)
          end
        end
        private_class_method :starting, :opening, :keeping
      end
    end
  end
end
