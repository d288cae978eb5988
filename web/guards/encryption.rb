# frozen_string_literal: true

module Hobrin
  module Web
    module Guards
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
    end
  end
end
