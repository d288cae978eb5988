# frozen_string_literal: true

require "securerandom"
require_relative "boot"

module Hobrin
  # Makes the web application ready to serve one home.
  module Server
    LOCAL_HOSTS = ["127.0.0.1", "localhost", "[::1]"].freeze
    # Letters of a whole key.
    KEY_SIZE = 128
    private_constant :LOCAL_HOSTS, :KEY_SIZE

    class << self
      # context :: Services::Context; home :: Pathname. HOBRIN_HOSTS adds host names, apart by
      #   commas.
      # Gives the application, ready to be called.
      def app(context, home:, env: ENV)
        hosts = LOCAL_HOSTS + env.fetch("HOBRIN_HOSTS", "").split(",").map(&:strip).reject(&:empty?)
        Boot.eager_load
        Web::App.build(context:, session_secret: secret(home), hosts:,
                       access_word: env.fetch("HOBRIN_ACCESS_WORD", ""))
      end

      private

      # The key that signs sessions; made once for each home, readable by its owner only. One that
      # was cut is made anew: open pages then have to be loaded again, nothing else is lost.
      def secret(home)
        file = home.join("session.key")
        File.write(file, SecureRandom.hex(64),
                   perm: 0o600) unless file.exist? && file.size >= KEY_SIZE
        file.read
      end
    end
  end
end
