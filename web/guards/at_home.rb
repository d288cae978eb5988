# frozen_string_literal: true

require "ipaddr"

module Hobrin
  module Web
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
    end
  end
end
