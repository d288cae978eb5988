# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin trail INQUIRY
      class Trail < Command
        SUMMARY = "Lists every change of an inquiry with the papers before and after"
        USAGE = "INQUIRY [OPTIONS]"
        EXAMPLES = ["hobrin trail 1", "hobrin trail 1 --format json"].freeze

        private

        def options(parser)
          parser.on("--format FORMAT", %w[text json], "text (default) or json") { |format| given[:format] = format }
        end

        def run(id)
          lines = Services::ReadTrail.new(context).call(whole_number(id, "inquiry")).reverse
          return json(lines.map(&:to_h)) if given[:format] == "json"

          lines.each do |line|
            @out.puts format("%4d  %s  %-6s %6d → %-6d %s", line.number, line.at, line.step, line.count_before,
                             line.count_after, line.change)
          end
        end
      end
    end
  end
end
