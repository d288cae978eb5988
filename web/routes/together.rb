# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # What each may do with an inquiry, and papers that two people read.
      module Together
        def self.registered(app)
          standing(app)
          reading_twice(app)
          weighing_twice(app)
          notes(app)
          forgetting(app)
        end

        def self.notes(app)
          app.get("/inquiries/:id/notes") { show_notes }

          app.post("/inquiries/:id/notes") do
            Lengths.check(params)
            write_note(Services::Notes.new(context, inquiry_id))
            leave_for "/inquiries/#{inquiry_id}/notes"
          rescue InputError => e
            answer_refused
            show_notes(errors: e.errors)
          end
        end

        def self.standing(app)
          app.get("/inquiries/:id/people") { show_standing }

          app.post("/inquiries/:id/people") do
            Services::Sharing::ShareInquiry.new(context).give(inquiry_id, fields.number(:person), fields.text(:ability))
            leave_for "/inquiries/#{inquiry_id}/people"
          rescue InputError => e
            answer_refused
            show_standing(errors: e.errors)
          end
        end

        # A text that is removed for good, by the owner.
        def self.forgetting(app)
          app.post("/inquiries/:id/forget") do
            show_standing(said: forget_in(inquiry_id))
          rescue InputError => e
            answer_refused
            show_standing(errors: e.errors)
          end
        end

        def self.reading_twice(app)
          app.get("/inquiries/:id/differences") { show_differences }

          app.post("/inquiries/:id/differences") do
            Services::Screen::DualScreening.new(context, inquiry_id).settle(Forms::Sift::DecisionForm.new(fields).settled)
            leave_for "/inquiries/#{inquiry_id}/differences"
          rescue InputError => e
            answer_refused
            show_differences(errors: e.errors)
          end

          app.post("/inquiries/:id/twice") do
            twice = apart_at_step
            fields.text(:do) == "stop" ? twice.stop : twice.start(fields.number(:second))
            leave_for "/inquiries/#{inquiry_id}/people"
          rescue InputError => e
            answer_refused
            show_standing(errors: e.errors)
          end
        end

        def self.weighing_twice(app)
          app.get("/inquiries/:id/sheets") { show_sheets }

          app.post("/inquiries/:id/sheets") do
            Lengths.check(params)
            settle_sheet
            leave_for "/inquiries/#{inquiry_id}/sheets"
          rescue InputError => e
            answer_refused
            show_sheets(errors: e.errors)
          end
        end
        private_class_method :forgetting, :weighing_twice, :standing, :reading_twice, :notes
      end
    end
  end
end
