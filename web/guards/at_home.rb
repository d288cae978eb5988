# frozen_string_literal: true

require "ipaddr"
require "rack/auth/basic"

module Hobrin
  module Web
    module Guards
      # Until people sign in, whoever reaches the server can do everything. So only this machine
      # may, unless its owner set an access word; then everyone is asked for it.
      class AtHome
        # Letters of an access word at least.
        SHORTEST = 16
        REFUSED = "Hobrin answers this machine only. To reach it from another one, start it with a long " \
                  "HOBRIN_ACCESS_WORD, which is then asked for, and over an encrypted connection.\n"
        private_constant :REFUSED

        # word :: the access word, "" for none. Raises StateError for one that is too short.
        def initialize(app, word: "")
          if !word.empty? && word.size < SHORTEST
            raise StateError, "HOBRIN_ACCESS_WORD must have at least #{SHORTEST} letters."
          end

          @app = app
          @asking = word.empty? ? nil : asking(app, word)
        end

        def call(env)
          return @asking.call(env) if @asking
          return @app.call(env) if at_home?(env)

          [403, { "content-type" => "text/plain" }, [REFUSED]]
        end

        private

        # Any name will do beside the word; it is compared in constant time.
        def asking(app, word)
          Rack::Auth::Basic.new(app, "Hobrin") { |_, given| Rack::Utils.secure_compare(word, given) }
        end

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
