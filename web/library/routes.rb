# frozen_string_literal: true

module Hobrin
  module Web
    module Library
      # The library: what it holds, and files that come in.
      module Routes
        extend Routing

        # What all inquiries share, put back as it was.
        post("/library/changes/:id", needs: :library) do
          Services::ChangeHouse.new(context).undo(id_of("change"))
          leave_for "/library#shared"
        end

        # Catalogues are put on the list and taken off, and harvested as a whole.
        post("/library/catalogues", needs: :library) do
          sent = %i[name address protocol].to_h { |name| [name, fields.text(name)] }
          Services::Catalogues::KeepSources.new(context).add(**sent)
          leave_for "/library"
        rescue InputError, Outside::Fetch::NoAnswer => e
          answer_refused
          show_library(errors: e.is_a?(InputError) ? e.errors : { address: e.message })
        end

        post("/library/catalogues/:id", needs: :library) do
          case fields.one_of(:do, %i[harvest remove])
          when :harvest then Services::Catalogues::HarvestSource.new(context).call(import_id)
          when :remove then Services::Catalogues::KeepSources.new(context).remove(import_id)
          end
          leave_for "/library"
        end

        post("/library/thesauri/:id", needs: :library) do
          Services::Imports::ImportThesaurus.new(context).use(import_id)
          leave_for "/library#thesauri"
        end

        post("/library/matches", needs: :library) do
          matching = Services::Library::MatchHeading.new(context)
          name = fields.text(:name)
          back = fields.text(:do) == "back"
          back ? matching.take_back(name) : matching.call(name, fields.text(:label))
          leave_for "/library"
        rescue InputError => e
          answer_refused
          show_library(errors: e.errors)
        end

        get("/library/doubles", needs: :signed_in) do
          @page = Duplicates.new(context:, fields:)
          show_alone :"library/doubles", title: Book.t("library.duplicates.title")
        end

        post("/library/doubles", needs: :library) do
          settling = Services::Library::SettleDuplicates.new(context)
          number, first = %i[number first].map { |name| fields.number(name) }
          raise GoneError, "double" unless [number, first || 1].all? do |number|
            number.is_a?(Integer) && number.between?(1, 2**53)
          end

          fields.text(:do) == "join" ? settling.join(first, number) : settling.part(number)
          leave_for "/library/doubles"
        end

        get("/library", needs: :signed_in) { show_library }
        get("/library/imports/:id/refused.csv", needs: :signed_in) { download Services::Library::Read.new(context).refusals(import_id) }

        # A file comes as the body of a request; without scripts, as a form.
        post("/library/files", needs: :library) do
          file = params["file"] if params["file"].is_a?(Hash) && params["file"][:tempfile]
          io, name = file ? file.values_at(:tempfile, :filename) : [request.body || StringIO.new, fields.text(:name)]
          receive(io, name)
          file ? leave_for("/library") : show_library
        rescue InputError => e
          answer_refused
          htmx? ? fail_with(Book.t("library.page.not_imported"), e.message) : show_library(errors: e.errors)
        end

        post("/library/imports/:id", needs: :library) do
          imports = Services::Imports::Change.new(context)
          case fields.one_of(:do, %i[stop go back])
          when :stop then imports.stop(import_id)
          when :go then imports.go_on(import_id)
          when :back then imports.take_back(import_id)
          else raise InputError,
                     { press: Book.t("library.page.expired") }
          end
          leave_for "/library"
        rescue InputError => e
          answer_refused
          show_library(errors: e.errors)
        end

        # Hobrin as a catalogue for others: searched over SRU, harvested over OAI-PMH, followed by a
        # feed.
        module Protocols
          extend Routing

          XML = "text/xml;charset=utf-8"
          private_constant :XML

          get("/sru", needs: :catalogue) do
            content_type XML
            Services::Catalogues::AnswerSru.new(context, lines: known_here?).call(plain_params, host: request.host,
                                                                                                port: request.port)
          end

          get("/oai", needs: :catalogue) do
            content_type XML
            Services::Catalogues::AnswerOai.new(context).call(plain_params, address: "#{request.base_url}/oai")
          end

          get("/inquiries/:id/feed/:token", needs: :open) do
            home = request.base_url
            file = Services::Catalogues::Feed.new(context).call(inquiry_id, params["token"], home:,
                                                                                             address: "#{home}#{request.path}")
            content_type file.type
            file.body
          end

          post("/inquiries/:id/feed", needs: :owns) do
            feeds = Services::Catalogues::Feed.new(context)
            fields.text(:do) == "open" ? feeds.open(inquiry_id, days: fields.number(:days)) : feeds.take_back(inquiry_id)
            query = { "show" => "elsewhere", "source" => fields.some_text(:source) }.compact
            leave_for "/inquiries/#{inquiry_id}/narrow?#{Rack::Utils.build_query(query)}"
          end
        end
      end
    end
  end
end
