# frozen_string_literal: true

require "tmpdir"

module Hobrin
  module Cli
    module Commands
      # hobrin stress
      class Stress < Command
        SUMMARY = "Measures how much it bears, on made-up data: many people, kills, hostile requests"
        USAGE = "[OPTIONS]"
        EXAMPLES = ["hobrin stress", "hobrin stress --only kills"].freeze
        PARTS = { "crowd" => Cli::Stress::Crowd, "kills" => Cli::Stress::Kills,
                  "hostile" => Cli::Stress::Hostile }.freeze
        private_constant :PARTS

        private

        def options(parser)
          parser.on("--only PART", PARTS.keys, "One of #{PARTS.keys.join(", ")}") do |part|
            given[:only] = part
          end
        end

        def run(*)
          parts = given[:only] ? PARTS.slice(given[:only]) : PARTS
          parts.each_value do |part|
            Dir.mktmpdir("hobrin-stress") do |folder|
              home = Pathname(folder)
              Demo::Sample.new(Boot.context(home:)).load
              @out.puts part.new(home).call, ""
            end
          end
        end
      end
    end
  end
end
