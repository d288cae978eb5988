# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin serve and work
      module Serving
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
            require_relative "../../config/puma_server"
            env = { **@env.to_h, "HOBRIN_HOME" => home.to_s }
            PumaServer.new(env:, out: @out, shared: given[:shared] || false).call
          end
        end

        # hobrin work
        class Work < Command
          SUMMARY = "Reads the files that wait on the library page; Hobrin starts it by itself"
          USAGE = "[OPTIONS]"
          EXAMPLES = ["hobrin work"].freeze

          private

          def run(*)
            Services::Imports::Work.new(context).call || @err.puts("Another process is at it.")
            true
          end
        end
      end
    end
  end
end
