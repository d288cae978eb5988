# frozen_string_literal: true

require "ipaddr"
require "rack/request"
require "securerandom"

module Hobrin
  module Web
    # What stands before the application, and lets a request in or not.
    module Guards
      # Where nobody signs in, whoever reaches the server can do everything. So only this machine may.
      class AtHome
        REFUSED = "Hobrin answers this machine only. To let others in, start it so that people sign in: " \
                  "hobrin serve --shared, behind a proxy that encrypts.\n"
        private_constant :REFUSED

        def initialize(app)
          @app = app
        end

        def call(env)
          return @app.call(env) if at_home?(env)

          [403, { "content-type" => "text/plain" }, [REFUSED]]
        end

        private

        # A proxy in front passes on what comes from elsewhere.
        def at_home?(env)
          return false if env.key?("HTTP_X_FORWARDED_FOR") || env.key?("HTTP_FORWARDED")

          IPAddr.new(env.fetch("REMOTE_ADDR", "").split("%").first.to_s).loopback?
        rescue IPAddr::Error
          false
        end
      end

      # Where the address of this Hobrin begins with https, browsers are told to use nothing else, and a
      # proxy that does not say how a request came in is told what to do: without that, no cookie is
      # kept, and signing in fails without a word.
      class Encryption
        HEADER = "strict-transport-security"
        YEAR = "max-age=31536000"
        UNSAID = "HOBRIN_ORIGIN begins with https, but this request came in without encryption. Let the proxy in front " \
                 "of Hobrin set the header X-Forwarded-Proto: https\n"
        # A monitor may ask without.
        HEALTH = "/health"
        private_constant :HEADER, :YEAR, :UNSAID, :HEALTH

        def initialize(app)
          @app = app
        end

        def call(env)
          encrypted = Rack::Request.new(env).ssl?
          return [421, { "content-type" => "text/plain" }, [UNSAID]] unless encrypted || env["PATH_INFO"] == HEALTH

          status, headers, body = @app.call(env)
          [status, { **headers, HEADER => YEAR }, body]
        end
      end

      # One line of JSON for each request, with a number by which it can be found again. The address is
      # written as its rule has it: no question, no search and no secret part of it ever stands there.
      class Log
        ELSE = "(no rule)"
        private_constant :ELSE

        # out :: what lines are written to, nil for nowhere
        def initialize(app, out:)
          @app = app
          @out = out
        end

        def call(env)
          id = SecureRandom.hex(8)
          started = now
          status, headers, body = @app.call(env)
          write(env, id, status, started)
          [status, { **headers, "x-request-id" => id }, body]
        end

        private

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

        def write(env, id, status, started)
          return unless @out

          need, = Rules.of(env["REQUEST_METHOD"], env["PATH_INFO"].to_s)
          line = { at: Time.now.utc.iso8601(3), id:, method: env["REQUEST_METHOD"], address: address(env),
                   need:, status:, person: env[SigningIn::PERSON], ms: ((now - started) * 1000).round }
          @out.puts(JSON.generate(line))
        end

        def address(env)
          Rules.address(env["REQUEST_METHOD"], env["PATH_INFO"].to_s) || ELSE
        end
      end

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
