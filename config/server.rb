# frozen_string_literal: true

require "securerandom"
require_relative "boot"

module Hobrin
  # Makes the web application ready to serve one home.
  module Server
    LOCAL_HOSTS = ["127.0.0.1", "localhost", "[::1]"].freeze
    private_constant :LOCAL_HOSTS

    class << self
      # context :: Services::Context; home :: Pathname. HOBRIN_HOSTS adds host names, apart by
      #   commas.
      # Gives the application, ready to be called.
      def app(context, home:, env: ENV)
        hosts = LOCAL_HOSTS + env.fetch("HOBRIN_HOSTS", "").split(",").map(&:strip).reject(&:empty?)
        Boot.eager_load
        Web::App.build(context:, session_secret: secret(home), hosts:)
      end

      private

      # The key that signs sessions; made once for each home, readable by its owner only.
      def secret(home)
        file = home.join("session.key")
        File.write(file, SecureRandom.hex(64), perm: 0o600) unless file.exist?
        file.read
      end
    end
  end
end
