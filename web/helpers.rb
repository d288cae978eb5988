# frozen_string_literal: true

module Hobrin
  module Web
    # What routes and templates share.
    module Helpers
      # Files that come in and go out.
      module Files
        # The text of the file that was sent. Raises InputError, at `field`, for none.
        def sent_text(field)
          file = params["file"]
          path = file.is_a?(Hash) && file[:tempfile]&.path
          raise InputError, { field => Book.t("common.errors.choose_file") } unless path

          File.read(path, encoding: "UTF-8")
        end

        # Answers with a file to save, or with how far it is.
        def give(file)
          making = file if file.is_a?(Services::Act::MakeFile::Making)
          return download(file) unless making || htmx?

          # What asks again how far it is, is told where the file is.
          @page = Page.new.freeze
          show_alone :"act/making", title: making ? Book.t("common.files.being_made") : Book.t("common.files.ready"), making:,
                                    path: request.fullpath
        end

        # Answers with a file to save. file :: anything with name, type and body
        def download(file)
          context.audit.note("took out", "#{request.path_info}: #{file.name}"[0, 300])
          content_type file.type, **(file.body.encoding == Encoding::BINARY ? {} : { charset: "utf-8" })
          attachment file.name
          file.body
        end
      end

      # What may tell who a patient is, said beside the field where it was written.
      module Identifiers
        # text :: as it is kept. What was found in it, in words; nil for nothing.
        def identifying(text)
          found = Hobrin::Text::Identifiers.in(text.to_s, today: context.clock.today)
          return if found.empty?

          found.map { |match| "#{Book.t("common.identifiers.kind.#{match.kind}")} (“#{match.text.strip}”)" }.uniq.join(", ")
        end

        # The same text without it.
        def anonymous(text) = Hobrin::Text::Identifiers.without(text, today: context.clock.today)
      end

      # Who else looks at an inquiry just now.
      module Here
        # What a page is told it by, beside what was changed.
        HEADER = "x-hobrin-here"

        # Says that who signed in is on a step, and gives who else is there: "Oskar Thimmel on Sift".
        def here(step)
          known = Inquiry::STEPS.find { |known| known.to_s == step } || "trail"
          others = Services::Notes.new(context, inquiry_id).look(known.to_s)
          said = others.map do |name, where|
            Book.t("common.steps.name_on_step", name:, step: StepPage::Progress::NAMES.fetch(where.to_sym) { Book.t("common.step.trail") })
          end
          URI.encode_www_form_component(said.join(", "))
        end
      end

      # Briefs at addresses of their own.
      module Sharing
        # A brief as whoever has its address reads it: nothing on the page leads anywhere else.
        def show_shared(token)
          @page = Steps::Act::SharedBrief.new(Services::Act::ShareBrief.new(context).read(token))
          show_alone :"layout/shared", title: @page.title
        end

        # When a link may end: [days, name, whether it is chosen].
        def link_days
          ends = Services::Act::ShareBrief::DAYS.map { |days| [days, Book.t("common.links.after_days", days:), false] }
          [["", Book.t("common.links.never"), true], *ends]
        end

        # When a link ends and when it was opened last, in words. share :: Store::SharedBriefs::Share
        def link_facts(share)
          ends = share.ends_at ? Book.t("common.links.ends_on", day: day(share.ends_at)) : Book.t("common.links.never_ends")
          used = share.used_at ? Book.t("common.links.last_opened", time: day_and_time(share.used_at)) : Book.t("common.links.never_opened")
          "#{ends} #{used}"
        end

        # The address at which a brief can be read. share :: Store::SharedBriefs::Share
        def shared_address(share) = at_host("/shared/#{share.token}")

        # A path of this Hobrin as an address with its host.
        def at_host(path) = "#{request.base_url}#{path}"
      end

      # Pages that belong to no inquiry: Home, the library, what failed.
      module Alone
        # A page that belongs to no inquiry.
        def show_alone(view, title:, said: nil, **locals)
          whole(draw(view, page: @page, title:, **locals), title:, said:)
        end

        # errors :: Hash of field to message; question :: as it was typed
        def show_home(errors: {}, question: "")
          overview = Services::Inquiries::List.new(context).call(page: home_page)
          notices = Services::Accounts::Read.new(context).notices
          unowned = signing_in_required? ? 0 : Services::Sharing::TakeAlong.new(context).count
          @page = Home::Page.new(overview:, errors:, question:, notices:, unowned:)
          show_alone :"home/page", title: Book.t("common.layout.inquiries")
        end

        # Which page of the inquiries was asked for.
        def home_page = fields.number(:page).then { |page| page.is_a?(Integer) ? page.clamp(1, 1_000_000) : 1 }

        # Changes the list of inquiries, and shows it again.
        def at_home
          yield
          leave_for "/"
        end

        # errors :: Hash of field to message
        def show_library(errors: {})
          Services::Imports::WakeWorker.new(context).call
          @page = Library::Page.new(context:, fields:, errors:)
          show_alone :"library/page", title: Book.t("common.layout.library")
        end

        # What was sent, as texts alone, without what the address holds.
        def plain_params = request.params.select { |_, value| value.is_a?(String) }

        # Takes in a file, or a part of one that comes in parts.
        def receive(io, name)
          receiving = Services::Imports::ReceiveFile.new(context)
          return receiving.call(io, name:) unless fields.sent?(:upload)

          receiving.part(io, name:, upload: fields.text(:upload), at: fields.number(:at) || 0, size: fields.number(:size))
        end

        # The id of an import from the address. Raises GoneError when it is no number.
        def import_id = id_of("import")
      end
    end
  end
end
