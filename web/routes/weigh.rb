# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Weigh: the sheet of one kept paper, what it gives for outcomes, the outcomes put together,
      # and what experience studies found.
      module Weigh
        def self.registered(app)
          app.get("/inquiries/:id/weigh") { show :weigh }
          app.post("/inquiries/:id/weigh") do
            change(:weigh, Forms::Weigh::SheetForm) { |form| weigh(form) }
          end
          # The sheet of one of two who weigh apart.
          app.post("/inquiries/:id/sheet") do
            change(:weigh, Forms::Weigh::SheetForm) { |form| weigh_apart(form) }
          end
          app.post("/inquiries/:id/outcomes") { change :weigh, Forms::Weigh::OutcomeForm }
          app.post("/inquiries/:id/results") { change :weigh, Forms::Weigh::ResultForm }
          app.post("/inquiries/:id/findings") { change :weigh, Forms::Weigh::FindingForm }
        end
      end
    end
  end
end
