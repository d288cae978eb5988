# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Narrow: limits, the aim, what-ifs and must-find papers.
      module Narrow
        def self.registered(app)
          app.get("/inquiries/:id/narrow") { show :narrow }

          app.post("/inquiries/:id/limits") do
            change(:narrow) { Services::ChangeLimits.new(context, seen:).put(inquiry_id, Narrow.leaf(fields)) }
          end

          app.post("/inquiries/:id/limits/:name") do
            change(:narrow) { Narrow.change(Services::ChangeLimits.new(context, seen:), inquiry_id, fields) }
          end

          app.post("/inquiries/:id/aim") do
            change(:narrow) do
              aim = Narrowing::Aim.new(from: fields.number(:aim_from), to: fields.number(:aim_to))
              Services::ChangeLimits.new(context, seen:).aim(inquiry_id, aim)
            end
          end

          steering(app)
          mending(app)
        end

        def self.steering(app)
          app.post("/inquiries/:id/what-ifs") do
            change(:narrow) do
              service = Services::TryWhatIfs.new(context, seen:)
              next service.dismiss(inquiry_id, fields.number(:dismiss)) if fields.some_text(:dismiss)

              service.call(inquiry_id, fields.text(:try).split(",").first(3).map do |one|
                Integer(one, 10, exception: false)
              end)
            end
          end

          app.post("/inquiries/:id/must-find") do
            change(:narrow) do
              service = Services::ChangeMustFind.new(context, seen:)
              paper = fields.some_text(:remove)
              paper ? service.remove(inquiry_id, paper) : service.add(inquiry_id, fields.text(:known))
            end
          end
        end

        def self.mending(app)
          app.post("/inquiries/:id/check") do
            change(:narrow) do
              Services::MendSearch.new(context, seen:).call(inquiry_id, fields.number(:finding))
              { stay: { "show" => "check" } }
            end
          end
        end
        private_class_method :steering, :mending

        def self.leaf(fields)
          name = fields.one_of(:limit, Narrowing::Previews::ALL) or raise InputError, { limit: "There is no such limit." }
          return Strategy::Limit.new(name:, values: fields.list(:values)) unless name == :dates

          Strategy::Dates.years(from_year: fields.number(:from_year), to_year: fields.number(:to_year))
        end

        def self.change(service, id, fields)
          name = fields.one_of(:name, Narrowing::Previews::ALL) or raise GoneError, "limit"
          case fields.text(:do)
          when "remove" then service.remove(id, name)
          when "switch" then service.switch(id, name)
          when "up" then service.move_up(id, name)
          end
        end
      end
    end
  end
end
