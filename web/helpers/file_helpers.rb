# frozen_string_literal: true

module Hobrin
  module Web
    # Files that come in and go out.
    module FileHelpers
      # The text of the file that was sent. Raises InputError, at `field`, for none.
      def sent_text(field)
        file = params["file"]
        path = file.is_a?(Hash) && file[:tempfile]&.path
        raise InputError, { field => "Choose a file first." } unless path

        File.read(path, encoding: "UTF-8")
      end

      # Answers with a file to save, or with how far it is.
      def give(file)
        making = file if file.is_a?(Services::Act::MakeFile::Making)
        return download(file) unless making || htmx?

        # What asks again how far it is, is told where the file is.
        @page = Pages::Page.new
        show_alone :"act/making", title: making ? "The file is being made" : "The file is ready", making:, path: request.fullpath
      end

      # Answers with a file to save. file :: anything with name, type and body
      def download(file)
        context.note_down("took out", "#{request.path_info}: #{file.name}"[0, 300])
        content_type file.type, **(file.body.encoding == Encoding::BINARY ? {} : { charset: "utf-8" })
        attachment file.name
        file.body
      end
    end
  end
end
