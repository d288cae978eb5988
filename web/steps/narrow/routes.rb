# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # Narrow: limits and the study filter, the aim, what-ifs, must-find papers and papers let in
        # by hand.
        module Routes
          extend Routing

          get("/inquiries/:id/narrow", needs: :reads) { show :narrow }

          post("/inquiries/:id/limits", needs: :works) { change :narrow, Forms::LimitForm }
          post("/inquiries/:id/limits/:name", needs: :works) { change :narrow, Forms::StepForm }
          post("/inquiries/:id/aim", needs: :works) { change :narrow, Forms::TargetForm }
          post("/inquiries/:id/what-ifs", needs: :works) { change :narrow, Forms::WhatIfForm }
          post("/inquiries/:id/must-find", needs: :works) { change :narrow, Forms::MustFindForm }
          post("/inquiries/:id/let-in", needs: :works) { change :narrow, Forms::InclusionForm }
          post("/inquiries/:id/check", needs: :works) { change :narrow, Forms::FindingForm }

          post("/inquiries/:id/search-review", needs: :second) do
            change(:narrow, Forms::ReviewForm) do |form|
              form.call(Services::Narrow::ReviewSearch.new(context, seen:), inquiry_id)
            end
          end

          post("/inquiries/:id/elsewhere", needs: :works) do
            change(:narrow, Forms::ElsewhereForm) do |form|
              form.call(Services::Narrow::OtherCatalogues::Ask.new(context, seen:), inquiry_id)
            end
          end

          post("/inquiries/:id/filter", needs: :works) do
            change(:narrow, Forms::FilterForm) do |form|
              form.call(Services::Narrow::ChangeFilter.new(context, seen:), inquiry_id)
            end
          end
        end
      end
    end
  end
end
