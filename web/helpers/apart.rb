# frozen_string_literal: true

module Hobrin
  module Web
    # Pages that belong to no inquiry: Home, the library, what failed.
    module Apart
      # A page that belongs to no inquiry.
      def show_alone(view, title:, said: nil, **locals)
        whole(erb(view, layout: false, locals: { title:, **locals }), title:, said:)
      end

      # errors :: Hash of field to message; question :: as it was typed
      def show_home(errors: {}, question: "")
        overview = Services::Inquiries::List.new(context).call(page: home_page)
        notices = Services::Accounts::Read.new(context).notices
        unowned = signing_in_required? ? 0 : Services::Sharing::TakeAlong.new(context).count
        @page = Pages::Home.new(overview:, errors:, question:, notices:, unowned:)
        show_alone :"home/home", title: "Inquiries"
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
        @page = Pages::Library.new(context:, fields:, errors:)
        show_alone :"library/library", title: "The library"
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
