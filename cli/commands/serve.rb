# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin serve
      class Serve < Command
        SUMMARY = "Serves Hobrin to this machine, with what the home holds and no made-up data"
        USAGE = "[OPTIONS]"
        EXAMPLES = ["hobrin serve", "PORT=4747 hobrin serve --home ward-library",
                    "BIND=0.0.0.0 HOBRIN_HOSTS=hobrin.example hobrin serve"].freeze

        private

        def options(parser)
          parser.on("--shared", "Everybody must sign in; they must in any case where BIND lets other machines in") do
            given[:shared] = true
          end
        end

        def run(*)
          require_relative "../../config/demo"
          DemoServer.new(env: { **@env.to_h, "HOBRIN_HOME" => home.to_s }, out: @out,
                         sample: false, shared: given[:shared] || false).call
        end
      end
    end
  end
end
