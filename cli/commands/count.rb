# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin count CQL
      class Count < Command
        SUMMARY = "Counts the papers that a search finds"
        USAGE = "CQL [OPTIONS]"
        EXAMPLES = [%q(hobrin count 'sleep* and dc.subject =/hobrin.narrower "Delirium"'),
                    "hobrin count 'dc.date >= 2020' --format json",
                    "hobrin count 'cql.resultSetId = 3 and dc.type = guideline' --inquiry 1"].freeze

        private

        def options(parser)
          parser.on("--format FORMAT", %w[text json], "text (default) or json") do |format|
            given[:format] = format
          end
          inquiry_option(parser)
        end

        def run(cql)
          found = Services::Search.new(library!).call(cql, inquiry_id: given[:inquiry])
          return @out.puts(found.size) unless given[:format] == "json"

          library = context.library
          json(count: found.size, cql: found.cql,
               library: { version: library.version, papers: library.size, sample: library.sample? })
        end
      end
    end
  end
end
