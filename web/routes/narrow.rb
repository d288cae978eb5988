# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Narrow: limits and the study filter, the aim, what-ifs, must-find papers and papers let in
      # by hand.
      module Narrow
        def self.registered(app)
          app.get("/inquiries/:id/narrow") { show :narrow }

          app.post("/inquiries/:id/limits") { change :narrow, Forms::Narrow::LimitForm }
          app.post("/inquiries/:id/limits/:name") { change :narrow, Forms::Narrow::StepForm }
          app.post("/inquiries/:id/aim") { change :narrow, Forms::Narrow::AimForm }
          app.post("/inquiries/:id/what-ifs") { change :narrow, Forms::Narrow::WhatIfForm }
          app.post("/inquiries/:id/must-find") { change :narrow, Forms::Narrow::MustFindForm }
          app.post("/inquiries/:id/let-in") { change :narrow, Forms::Narrow::InclusionForm }
          app.post("/inquiries/:id/check") { change :narrow, Forms::Narrow::FindingForm }

          app.post("/inquiries/:id/search-review") do
            change(:narrow, Forms::Narrow::ReviewForm) do |form|
              form.call(Services::Narrow::ReviewSearch.new(context, seen:), inquiry_id)
            end
          end

          app.post("/inquiries/:id/elsewhere") do
            change(:narrow, Forms::Narrow::ElsewhereForm) do |form|
              form.call(Services::Narrow::OtherCatalogues::Ask.new(context, seen:), inquiry_id)
            end
          end

          app.post("/inquiries/:id/filter") do
            change(:narrow, Forms::Narrow::FilterForm) do |form|
              form.call(Services::Narrow::ChangeFilter.new(context, seen:), inquiry_id)
            end
          end
        end
      end
    end
  end
end
