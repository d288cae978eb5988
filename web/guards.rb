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
        def initialize(app)
          @app = app
        end

        def call(env)
          return @app.call(env) if at_home?(env)

          [403, { "content-type" => "text/plain" }, ["#{Book.t("common.errors.this_machine_only")}\n"]]
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
        # A monitor may ask without.
        HEALTH = "/health"
        private_constant :HEADER, :YEAR, :HEALTH

        def initialize(app)
          @app = app
        end

        def call(env)
          encrypted = Rack::Request.new(env).ssl?
          unless encrypted || env["PATH_INFO"] == HEALTH
            return [421, { "content-type" => "text/plain" },
                    ["#{Book.t("common.errors.no_encryption")}\n"]]
          end

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
        private_constant :LARGEST_BYTES, :IMPORTS, :FILES

        def initialize(app)
          @app = app
        end

        def call(env)
          largest, reason = bounds(env)
          return refuse(413, reason) if env["CONTENT_LENGTH"].to_i > largest
          return refuse(400, :unreadable) unless readable?(env)

          @app.call(env)
        end

        private

        # [bytes, key of what is said of more]
        def bounds(env)
          path = env["PATH_INFO"].to_s
          return [LARGEST_BYTES, :request_too_large] unless env["REQUEST_METHOD"] == "POST"
          return [LARGEST_FILE, :import_too_large] if path == IMPORTS

          path.match?(FILES) ? [LARGEST_FILE, :file_too_large] : [LARGEST_BYTES, :request_too_large]
        end

        # What is parsed here is kept in env, so nothing is parsed twice.
        def readable?(env)
          Rack::Request.new(env).params && true
        rescue Rack::BadRequest, EOFError, ArgumentError, RangeError
          false
        end

        def refuse(status, reason) = [status, { "content-type" => "text/plain" }, [Book.t("common.errors.#{reason}")]]
      end
    end
  end
end
