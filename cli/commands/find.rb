# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin find CQL
      class Find < Command
        SUMMARY = "Lists the papers that a search finds, newest first"
        USAGE = "CQL [OPTIONS]"
        EXAMPLES = ["hobrin find 'earplug* and deliri*' --limit 5",
                    "hobrin find 'dc.creator = \"Zorvane A\"' --format ris > zorvane.ris",
                    "hobrin find 'dc.type = guideline' --format ids"].freeze
        WRITERS = Exchange::FORMATS.transform_keys(&:to_s).freeze
        DEFAULT_LIMIT = 20
        private_constant :WRITERS, :DEFAULT_LIMIT

        private

        def options(parser)
          parser.on("--format FORMAT", ["text", *WRITERS.keys, "cql", "ids"],
                    "text (default), csl, ris, bibtex, cql or ids") do |format|
            given[:format] = format
          end
          parser.on("--limit N",
                    "How many at most (text: #{DEFAULT_LIMIT}, otherwise all)") do |limit|
            given[:limit] = whole_number(limit, "limit")
          end
          inquiry_option(parser)
        end

        def run(cql)
          search = Services::Search.new(library!)
          found = search.call(cql, inquiry_id: given[:inquiry])
          case given.fetch(:format, "text")
          when "text" then text(search, found)
          when "ids" then @out.puts(search.ids(found, limit: given[:limit]))
          when "cql" then @out.puts(by_id(search.ids(found, limit: given[:limit])))
          else written(search.each_record(found, limit: given[:limit]))
          end
        end

        def text(search, found)
          records = search.records(found, limit: given.fetch(:limit, DEFAULT_LIMIT))
          records.each { |record| @out.puts(entry(record), "") }
          @err.puts "#{records.size} of #{found.size} papers.#{" Made-up sample data." if context.library.sample?}"
        end

        def entry(record)
          types = record.types.any? ? ". #{record.types.join(", ")}" : ""
          ["#{"RETRACTED: " if record.retracted?}#{record.title}",
           "  #{record.byline.chomp(".")}. #{record.journal} #{record.year}#{types}",
           "  #{record.id}"]
        end

        # A search that finds just these papers.
        def by_id(ids)
          return "" if ids.empty?

          Strategy::Cql.write(Strategy::AnyOf.of(ids.map { |id| Strategy::Identifier.read(id) }))
        end

        def written(records)
          WRITERS.fetch(given[:format])::Writer.stream(records, @out,
                                                       sample: context.library.sample?)
        end
      end
    end
  end
end
