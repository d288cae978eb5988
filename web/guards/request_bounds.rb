# frozen_string_literal: true

require "rack/request"

module Hobrin
  module Web
    module Guards
      # Turns away what is larger than any form of Hobrin can be before it is read, and what cannot
      # be read as parameters before anything else tries to.
      class RequestBounds
        LARGEST_BYTES = 262_144
        # A file that comes in is checked where it is kept; a form and its borders are a little
        # more.
        LARGEST_FILE = Services::Screen::FullText::LARGEST_BYTES + 65_536
        FILES = %r{\A/(?:inquiries/\d+/full-text|archives)\z}
        # Papers for the library may be many; they come in parts, so that nobody sends much before they
        # are asked to sign in.
        IMPORTS = "/library/files"
        IMPORT_TOO_LARGE = "This is larger than 25 MB. A browser with scripts sends such a file in parts; without, " \
                           "split it, or use the command line: hobrin import"
        FILE_TOO_LARGE = "This file is larger than 25 MB. Go back and choose a smaller one."
        TOO_LARGE = "This is far longer than a question can be. Go back: what you wrote is still in the page. " \
                    "Shorten it."
        UNREADABLE = "This request cannot be read: its parameters are too many, too deep, or cut."
        private_constant :LARGEST_BYTES, :IMPORTS, :IMPORT_TOO_LARGE,
                         :FILES, :FILE_TOO_LARGE, :TOO_LARGE, :UNREADABLE

        def initialize(app)
          @app = app
        end

        def call(env)
          largest, words = bounds(env)
          return refuse(413, words) if env["CONTENT_LENGTH"].to_i > largest
          return refuse(400, UNREADABLE) unless readable?(env)

          @app.call(env)
        end

        private

        # [bytes, what is said of more]
        def bounds(env)
          path = env["PATH_INFO"].to_s
          return [LARGEST_BYTES, TOO_LARGE] unless env["REQUEST_METHOD"] == "POST"
          return [LARGEST_FILE, IMPORT_TOO_LARGE] if path == IMPORTS

          path.match?(FILES) ? [LARGEST_FILE, FILE_TOO_LARGE] : [LARGEST_BYTES, TOO_LARGE]
        end

        # What is parsed here is kept in env, so nothing is parsed twice.
        def readable?(env)
          Rack::Request.new(env).params && true
        rescue Rack::BadRequest, EOFError, ArgumentError, RangeError
          false
        end

        def refuse(status, words) = [status, { "content-type" => "text/plain" }, [words]]
      end
    end
  end
end
