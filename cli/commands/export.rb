# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin export INQUIRY
      class Export < Command
        SUMMARY = "Writes the kept papers of an inquiry, or its search"
        USAGE = "INQUIRY [OPTIONS]"
        EXAMPLES = ["hobrin export 1 --format ris > evidence.ris", "hobrin export 1 --format cql",
                    "hobrin export 1 --format log"].freeze
        EVIDENCE = { "ris" => "ris", "csl" => "json", "bibtex" => "bib" }.freeze
        private_constant :EVIDENCE

        private

        def options(parser)
          parser.on("--format FORMAT", [*EVIDENCE.keys, "cql", "log", "archive"],
                    "ris (default), csl, bibtex: the kept papers; cql, log: the search; archive: all of it") do |format|
            given[:format] = format
          end
        end

        def run(id)
          id = whole_number(id, "inquiry")
          format = given.fetch(:format, "ris")
          return @out.write(evidence(id, EVIDENCE[format])) if EVIDENCE.key?(format)
          return @out.write(Services::Archives.new(context).write(id).body) if format == "archive"

          brief = Services::Act::ReadBrief.new(context).call(Services::Inquiries::Read.new(context).call(id))
          format == "cql" ? @out.puts(brief.cql) : log(brief)
        end

        def evidence(id, extension) = Services::Act::ExportEvidence.new(context).call(id, extension).body

        def log(brief)
          @out.puts "# Made-up sample data." if context.library.sample?
          @out.puts "# #{brief.question.text}",
                    "# Searched on #{brief.searched_on}, library version #{context.library.version}"
          brief.lines.each do |line|
            @out.puts format("%3d  %7d  %s", line.number, line.count,
                             line.kind == :term ? line.rule : "#{line.name}: #{line.rule}")
          end
        end
      end
    end
  end
end
