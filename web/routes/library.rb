# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # The library: what it holds, and files that come in.
      module Library
        def self.registered(app)
          looking(app)
          bringing(app)
          changing(app)
          matching(app)
          doubles(app)
          catalogues(app)
          shared_changes(app)
        end

        # What all inquiries share, put back as it was.
        def self.shared_changes(app)
          app.post("/library/changes/:id") do
            Services::ChangeHouse.new(context).undo(id_of("change"))
            leave_for "/library#shared"
          end
        end

        # Catalogues are put on the list and taken off, and harvested as a whole.
        def self.catalogues(app)
          app.post("/library/catalogues") do
            sent = %i[name address protocol].to_h { |name| [name, fields.text(name)] }
            Services::Catalogues::KeepSources.new(context).add(**sent)
            leave_for "/library"
          rescue InputError, Outside::Fetch::NoAnswer => e
            answer_refused
            show_library(errors: e.is_a?(InputError) ? e.errors : { address: e.message })
          end

          app.post("/library/catalogues/:id") do
            case fields.one_of(:do, %i[harvest remove])
            when :harvest then Services::Catalogues::HarvestSource.new(context).call(import_id)
            when :remove then Services::Catalogues::KeepSources.new(context).remove(import_id)
            end
            leave_for "/library"
          end
        end

        def self.matching(app)
          app.post("/library/thesauri/:id") do
            Services::Imports::ImportThesaurus.new(context).use(import_id)
            leave_for "/library#thesauri"
          end

          app.post("/library/matches") do
            matching = Services::Library::MatchHeading.new(context)
            name = fields.text(:name)
            back = fields.text(:do) == "back"
            back ? matching.take_back(name) : matching.call(name, fields.text(:label))
            leave_for "/library"
          rescue InputError => e
            answer_refused
            show_library(errors: e.errors)
          end
        end

        def self.doubles(app)
          app.get("/library/doubles") do
            @page = Pages::Library::Doubles.new(context:, fields:)
            show_alone :"library/doubles", title: "The same paper once more"
          end

          app.post("/library/doubles") do
            settling = Services::Library::SettleDuplicates.new(context)
            number, first = %i[number first].map { |name| fields.number(name) }
            raise GoneError, "double" unless [number, first || 1].all? do |one|
              one.is_a?(Integer) && one.between?(1, 2**53)
            end

            fields.text(:do) == "join" ? settling.join(first, number) : settling.part(number)
            leave_for "/library/doubles"
          end
        end

        def self.looking(app)
          app.get("/library") { show_library }
          app.get("/library/imports/:id/refused.csv") { download Services::Library::Read.new(context).refusals(import_id) }
        end

        # A file comes as the body of a request; without scripts, as a form.
        def self.bringing(app)
          app.post("/library/files") do
            file = params["file"] if params["file"].is_a?(Hash) && params["file"][:tempfile]
            io, name = file ? file.values_at(:tempfile, :filename) : [request.body || StringIO.new, fields.text(:name)]
            receive(io, name)
            file ? leave_for("/library") : show_library
          rescue InputError => e
            answer_refused
            htmx? ? fail_with("Not taken in", e.message) : show_library(errors: e.errors)
          end
        end

        def self.changing(app)
          app.post("/library/imports/:id") do
            imports = Services::Imports::Change.new(context)
            case fields.one_of(:do, %i[stop go back])
            when :stop then imports.stop(import_id)
            when :go then imports.go_on(import_id)
            when :back then imports.take_back(import_id)
            else raise InputError,
                       { press: "This page is too old for that button. Load it again." }
            end
            leave_for "/library"
          rescue InputError => e
            answer_refused
            show_library(errors: e.errors)
          end
        end
        private_class_method :shared_changes, :looking, :bringing, :changing, :matching, :doubles, :catalogues
      end
    end
  end
end
