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
              Forms::After.new(paper: form.decided? ? form.next_paper(context, outcome.opened) : form.paper,
                               list: form.view.to_query)
            end
            change :sift, Forms::Sift::DecisionForm, after: following
          end
        end
      end
    end
  end
end
