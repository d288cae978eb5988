# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # Weigh: the sheet of one kept paper, what it gives for outcomes, the outcomes put together,
        # and what experience studies found.
        module Routes
          extend Routing

          get("/inquiries/:id/weigh", needs: :reads) { show :weigh }
          post("/inquiries/:id/weigh", needs: :works) do
            change(:weigh, Forms::SheetForm) { |form| weigh(form) }
          end
          # The sheet of one of two who weigh apart.
          post("/inquiries/:id/sheet", needs: :second) do
            change(:weigh, Forms::SheetForm) { |form| weigh_apart(form) }
          end
          post("/inquiries/:id/outcomes", needs: :works) { change :weigh, Forms::OutcomeForm }
          post("/inquiries/:id/results", needs: :works) { change :weigh, Forms::ResultForm }
          post("/inquiries/:id/findings", needs: :works) { change :weigh, Forms::FindingForm }
        end
      end
    end
  end
end
