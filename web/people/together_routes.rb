# frozen_string_literal: true

module Hobrin
  module Web
    module People
      # What each may do with an inquiry, and papers that two people read.
      module TogetherRoutes
        extend Routing

        get("/inquiries/:id/notes", needs: :reads) { show_notes }

        post("/inquiries/:id/notes", needs: :reads) do
          Lengths.check(params)
          write_note(Services::Notes.new(context, inquiry_id))
          leave_for "/inquiries/#{inquiry_id}/notes"
        rescue InputError => e
          answer_refused
          show_notes(errors: e.errors)
        end

        get("/inquiries/:id/people", needs: :owns) { show_standing }

        post("/inquiries/:id/people", needs: :owns) do
          Services::Sharing::ShareInquiry.new(context).give(inquiry_id, fields.number(:person), fields.text(:ability))
          leave_for "/inquiries/#{inquiry_id}/people"
        rescue InputError => e
          answer_refused
          show_standing(errors: e.errors)
        end

        # A text that is removed for good, by the owner.
        post("/inquiries/:id/forget", needs: :owns) do
          show_standing(said: forget_in(inquiry_id))
        rescue InputError => e
          answer_refused
          show_standing(errors: e.errors)
        end

        get("/inquiries/:id/differences", needs: :reads) { show_differences }

        post("/inquiries/:id/differences", needs: :second) do
          Services::Screen::DualScreening.new(context, inquiry_id).settle(Steps::Screen::Routes::DecisionForm.new(fields).settled)
          leave_for "/inquiries/#{inquiry_id}/differences"
        rescue InputError => e
          answer_refused
          show_differences(errors: e.errors)
        end

        post("/inquiries/:id/twice", needs: :owns) do
          twice = apart_at_step
          fields.text(:do) == "stop" ? twice.stop : twice.start(fields.number(:second))
          leave_for "/inquiries/#{inquiry_id}/people"
        rescue InputError => e
          answer_refused
          show_standing(errors: e.errors)
        end

        get("/inquiries/:id/sheets", needs: :reads) { show_sheets }

        post("/inquiries/:id/sheets", needs: :second) do
          Lengths.check(params)
          settle_sheet
          leave_for "/inquiries/#{inquiry_id}/sheets"
        rescue InputError => e
          answer_refused
          show_sheets(errors: e.errors)
        end
      end
    end
  end
end
