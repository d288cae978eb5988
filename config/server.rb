# frozen_string_literal: true

require "securerandom"
require_relative "boot"

module Hobrin
  # Makes the web application ready to serve one home.
  module Server
    LOCAL_HOSTS = ["127.0.0.1", "localhost", "[::1]"].freeze
    # Letters of a whole key.
    KEY_SIZE = 128
    SHORTEST_KEY = 64
    private_constant :LOCAL_HOSTS, :KEY_SIZE, :SHORTEST_KEY

    class << self
      # context :: Services::Context; home :: Pathname. HOBRIN_HOSTS adds host names, apart by commas.
      # shared :: what Web::SigningIn::Gate takes, beside what is taken from env, where people sign in;
      #   nil where they do not
      # Gives the application, ready to be called.
      def app(context, home:, env: ENV, shared: nil)
        hosts = LOCAL_HOSTS + env.fetch("HOBRIN_HOSTS", "").split(",").map(&:strip).reject(&:empty?)
        key = env.fetch("HOBRIN_SESSION_KEY") { secret(home) }
        raise StateError, "HOBRIN_SESSION_KEY must have at least 64 letters." if key.size < SHORTEST_KEY

        Boot.eager_load
        context.signing_key
        Web::App.build(context:, session_secret: key, hosts:,
                       shared: shared && { **signing_in(env), **shared },
                       log: (env["HOBRIN_LOG"] == "json" ? $stdout : nil))
      end

      private

      # Several servers are told one HOBRIN_SESSION_KEY, of 64 letters at least.
      # HOBRIN_SMTP sends letters; HOBRIN_ORIGIN is the address that they name; with
      # HOBRIN_OPEN_CATALOGUE=yes other machines may search and harvest without signing in.
      def signing_in(env)
        server, from = env.fetch("HOBRIN_SMTP", ""), env.fetch("HOBRIN_FROM", "hobrin@localhost")
        { post: Outside::Post.new(server:, from:), origin: env.fetch("HOBRIN_ORIGIN", "").delete_suffix("/"),
          open_catalogue: env["HOBRIN_OPEN_CATALOGUE"] == "yes" }
      end

      # The key that signs sessions; made once for each home, readable by its owner only. One that
      # was cut is made anew: open pages then have to be loaded again, nothing else is lost.
      def secret(home)
        file = home.join("session.key")
        File.write(file, SecureRandom.hex(64), perm: 0o600) unless file.exist? && file.size >= KEY_SIZE
        file.read
      end
    end
  end
end
