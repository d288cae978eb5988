# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Sift: one paper open, one decision at a time.
      module Sift
        def self.registered(app)
          app.get("/inquiries/:id/sift") { show :sift }

          app.post("/inquiries/:id/decisions") do
            following = lambda do |form, outcome|
              reader = Services::ReadSift.new(context)
              paper = form.decided? ? reader.following(outcome.opened, form.paper) : form.paper
              Forms::After.new(paper:)
            end
            change :sift, Forms::Sift::DecisionForm, after: following
          end
        end
      end
    end
  end
end
