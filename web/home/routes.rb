# frozen_string_literal: true

module Hobrin
  module Web
    module Home
      # The first page: the inquiries, and a box to start one.
      module Routes
        extend Routing

        get("/", needs: :signed_in) { show_home }

        post("/inquiries", needs: :signed_in) do
          Lengths.check(params)
          id = Services::Inquiries::Start.new(context).call(fields.text(:question))
          leave_for "/inquiries/#{id}/ask"
        rescue InputError => e
          answer_refused
          show_home(errors: e.errors, question: fields.text(:question))
        end

        # Where it was left, or else where it was changed last.
        get("/inquiries/:id", needs: :reads) do
          saved = Services::Inquiries::Read.new(context).call(inquiry_id).saved
          redirect to("/inquiries/#{saved.id}/#{Visits.new(session).step(saved.id) || saved.step}"),
                   303
        end

        # Taken away and brought back, put aside and taken up again, copied, or opened from a file.
        post("/inquiries/:id/delete", needs: :owns) { at_home { Services::Inquiries::Delete.new(context).call(inquiry_id) } }
        post("/inquiries/:id/aside", needs: :works) { at_home { Services::Inquiries::PutAside.new(context).call(inquiry_id) } }
        post("/inquiries/:id/back", needs: :owns) { at_home { Services::Inquiries::PutAside.new(context).back(inquiry_id) } }
        post("/inquiries/:id/copy", needs: :reads) { leave_for "/inquiries/#{Services::Inquiries::Copy.new(context).call(inquiry_id)}" }

        post("/taken-along", needs: :signed_in) do
          not_found if signing_in_required?
          Services::Sharing::TakeAlong.new(context).call
          leave_for "/"
        end

        post("/archives", needs: :signed_in) do
          leave_for "/inquiries/#{Services::Inquiries::Copy.new(context).open(sent_text(:archive))}"
        rescue InputError => e
          answer_refused
          show_home(errors: e.errors)
        end
      end
    end
  end
end
