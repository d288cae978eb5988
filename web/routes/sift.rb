# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Sift: one paper open, one decision at a time or several at once; what stands around a paper,
      # its full text, and citations followed.
      module Sift
        def self.registered(app)
          app.get("/inquiries/:id/sift") { show :sift }

          deciding(app)
          archived(app)
          full_text(app)
          files(app)
          app.post("/inquiries/:id/threads") { change :sift, Forms::Sift::ThreadsForm }
        end

        def self.deciding(app)
          app.post("/inquiries/:id/decisions") do
            following = lambda do |form, outcome|
              Forms::After.new(paper: form.decided? ? form.next_paper(context, outcome.opened) : form.paper,
                               list: form.view.to_query)
            end
            change(:sift, Forms::Sift::DecisionForm, after: following) { |form| decide(form.edit) }
          end

          app.post("/inquiries/:id/several") do
            change(:sift, Forms::Sift::SeveralForm) do |form|
              decide(form.edit_of do
                opened = Services::Inquiries::Read.new(context).call(inquiry_id)
                opened = Services::Screen::DualScreening.new(context, inquiry_id).as_read(opened)
                Services::Screen::Read.new(context, opened, view: form.view).ids
              end)
            end
          end
        end

        # Papers that came with an archive, into the library.
        def self.archived(app)
          app.post("/inquiries/:id/records") do
            Services::Inquiries::Copy.new(context).add_to_library(inquiry_id)
            leave_for "/inquiries/#{inquiry_id}/sift"
          end
        end

        # What is kept with a paper changes no inquiry: nothing of it is in the trail.
        def self.full_text(app)
          app.post("/inquiries/:id/full-text") do
            beside_the_inquiry do
              keeping = Services::Screen::FullText.new(context)
              file = params["file"]
              next keeping.remove(fields.text(:paper), inquiry_id) if fields.text(:do) == "remove"

              keeping.call(fields.text(:paper), inquiry_id, file.is_a?(Hash) ? file[:tempfile]&.path : nil)
            end
          end

          app.post("/inquiries/:id/resolver") do
            beside_the_inquiry { Services::ChangeHouse.new(context).resolver(fields.text(:resolver)) }
          end
        end

        def self.files(app)
          app.get("/inquiries/:id/full-text") do
            headers "X-Content-Type-Options" => "nosniff"
            download Services::Screen::FullText.new(context).read(fields.text(:paper))
          end

          app.get("/inquiries/:id/list.:format") do
            opened = Services::Inquiries::Read.new(context).call(inquiry_id)
            view = Pages::Sift.view_of(fields)
            download Services::Screen::ExportList.new(context, opened, view:).call(params["format"])
          end
        end
        private_class_method :deciding, :archived, :full_text, :files
      end
    end
  end
end
