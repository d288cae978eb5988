# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Weigh: the appraisal of one kept paper.
      module Weigh
        def self.registered(app)
          app.get("/inquiries/:id/weigh") { show :weigh }
          app.post("/inquiries/:id/weigh") { change :weigh, Forms::Weigh::SheetForm }
        end
      end
    end
  end
end
