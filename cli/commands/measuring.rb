# frozen_string_literal: true

require "tmpdir"

module Hobrin
  module Cli
    module Commands
      # hobrin bench and stress
      module Measuring
        # hobrin bench
        class Bench < Command
          SUMMARY = "Measures the engine over a made-up library, beside plain SQL in the same run"
          USAGE = "[OPTIONS]"
          EXAMPLES = ["hobrin bench", "hobrin bench --sizes 50000,200000",
                      "hobrin bench --million"].freeze
          SIZES = [50_000, 200_000].freeze
          private_constant :SIZES

          private

          def options(parser)
            parser.on("--sizes LIST", Array,
                      "Papers in the library, apart by commas (#{SIZES.join(",")})") do |sizes|
              given[:sizes] = sizes.map { |size| whole_number(size, "size") }
            end
            parser.on("--million", "1,000,000 papers as well") { given[:million] = true }
            parser.on("--format FORMAT", %w[text json], "text (default) or json") do |format|
              given[:format] = format
            end
          end

          def run
            require_relative "../../tools/load"
            sizes = given.fetch(:sizes, SIZES) | (given[:million] ? [1_000_000] : [])
            tables = sizes.map { |size| Tools::Benchmarks::Run.new(size, err: @err).call }
            names = Tools::Benchmarks::Names.new(learned: Boot.learned).call
            return json(libraries: tables.map(&:figures), thesaurus: names.to_h) if given[:format] == "json"

            @out.puts Tools::Benchmarks::Report.new(tables, names).text
          end
        end

        # hobrin stress
        class Stress < Command
          SUMMARY = "Measures how much it bears, on made-up data: many people, kills, hostile requests"
          USAGE = "[OPTIONS]"
          EXAMPLES = ["hobrin stress", "hobrin stress --only kills"].freeze
          PARTS = %w[crowd kills hostile].freeze
          private_constant :PARTS

          private

          def options(parser)
            parser.on("--only PART", PARTS, "One of #{PARTS.join(", ")}") do |part|
              given[:only] = part
            end
          end

          def run(*)
            require_relative "../../tools/load"
            parts = { "crowd" => Tools::Stress::Crowd, "kills" => Tools::Stress::Kills, "hostile" => Tools::Stress::Hostile }
            parts.slice(*(given[:only] || PARTS)).each_value do |part|
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
end
