# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Narrow: limits and the study filter, the aim, what-ifs, must-find papers and papers let in by hand.
      module Narrow
        # What stays open after a change, by its parameter.
        OPEN = %w[opened order what_if open line with].freeze
        private_constant :OPEN

        def self.registered(app)
          app.get("/inquiries/:id/narrow") { show :narrow }

          limiting(app)
          steering(app)
          papers(app)
          mending(app)
        end

        def self.limiting(app)
          app.post("/inquiries/:id/limits") do
            change(:narrow) { Narrow.put(Services::ChangeLimits.new(context, seen:), inquiry_id, fields, context.vocabulary) }
          end

          app.post("/inquiries/:id/limits/:name") do
            change(:narrow) { Narrow.change(Services::ChangeLimits.new(context, seen:), inquiry_id, fields) }
          end

          app.post("/inquiries/:id/filter") do
            change(:narrow) do
              Narrow.filter(Services::ChangeFilter.new(context, seen:), inquiry_id, fields)
              { stay: { "show" => "filters", "kind" => fields.text(:kind) } }
            end
          end
        end

        def self.steering(app)
          app.post("/inquiries/:id/aim") do
            change(:narrow) do
              Services::ChangeLimits.new(context, seen:).aim(inquiry_id, Narrow.aim(fields))
            end
          end

          app.post("/inquiries/:id/what-ifs") do
            change(:narrow) do
              service = Services::TryWhatIfs.new(context, seen:)
              next service.dismiss(inquiry_id, fields.number(:dismiss)) if fields.some_text(:dismiss)

              numbers = fields.text(:try).split(",").first(3).map { |one| Integer(one, 10, exception: false) }
              service.call(inquiry_id, numbers)
            end
          end
        end

        def self.papers(app)
          app.post("/inquiries/:id/must-find") do
            change(fields.one_of(:from, %i[word trail]) || :narrow) do
              service = Services::ChangeMustFind.new(context, seen:)
              paper = fields.some_text(:remove)
              paper ? service.remove(inquiry_id, paper) : service.add(inquiry_id, fields.text(:known))
              Narrow.open(fields)
            end
          end

          app.post("/inquiries/:id/let-in") do
            change(:narrow) do
              service = Services::LetIn.new(context, seen:)
              back = fields.some_text(:take_back)
              back ? service.take_back(inquiry_id, back) : service.call(inquiry_id, fields.text(:paper))
              Narrow.open(fields)
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
        private_class_method :limiting, :steering, :papers, :mending

        # What is done next: the page that the form was on, a step opened on it, or Sift with its paper.
        def self.open(fields)
          return { next: :sift, paper: fields.text(:reading) } if fields.some_text(:reading)

          { stay: OPEN.to_h { |name| [name, fields.text(name)] } }
        end

        # One of the usual aims, or the two numbers that were typed.
        def self.aim(fields)
          usual = Narrowing::Aim::USUAL[fields.text(:usual)]
          from, to = usual || [fields.number(:aim_from), fields.number(:aim_to)]
          Narrowing::Aim.new(from:, to:)
        end

        def self.put(service, id, fields, vocabulary)
          fields.text(:all) == "off" ? service.all_off(id) : service.put(id, leaf(fields, vocabulary))
        end

        def self.leaf(fields, vocabulary)
          name = fields.one_of(:limit, [*Narrowing::Previews::ALL, :filter])
          case name
          when :dates then Strategy::Dates.years(from_year: fields.number(:from_year), to_year: fields.number(:to_year))
          when :added then since(fields.text(:since).strip)
          when :journal then journals(fields, vocabulary)
          when :filter then vocabulary.filter(fields.text(:filter))
          when nil then raise InputError, { limit: "There is no such limit." }
          else Strategy::Limit.new(name:, values: fields.list(:values))
          end
        end

        def self.since(date)
          Strategy::Dates.new(name: :added, from: date)
        rescue InputError => e
          raise InputError, { since: e.errors.values.first }
        end

        def self.journals(fields, vocabulary)
          names = [*fields.list(:values), *fields.some_text(:journal)]
          raise InputError, { journal: "Write the name of a journal." } if names.empty?

          Strategy::Journal.new(values: names.map { |name| vocabulary.journal(name) })
        end

        def self.filter(service, id, fields)
          if fields.some_text(:put) then service.published(id, fields.text(:put))
          elsif fields.some_text(:put_own) then service.kept(id, fields.text(:put_own))
          elsif fields.some_text(:forget) then service.forget(fields.text(:forget))
          else service.write(id, fields.text(:title), fields.text(:terms))
          end
        end

        def self.change(service, id, fields)
          slot = fields.text(:name)
          case fields.text(:do)
          when "remove" then service.remove(id, slot)
          when "switch" then service.switch(id, slot)
          when "up" then service.move_up(id, slot)
          end
        end
      end
    end
  end
end
