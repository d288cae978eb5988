# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin count, find and explain: searches over the library
      module Searching
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
            found = Services::Library::Search.new(library!).call(cql, inquiry_id: given[:inquiry])
            return @out.puts(found.size) unless given[:format] == "json"

            library = context.library
            json(count: found.size, cql: found.cql,
                 library: { version: library.version, papers: library.size, sample: library.sample? })
          end
        end

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
            search = Services::Library::Search.new(library!)
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

        # hobrin explain ID CQL
        class Explain < Command
          SUMMARY = "Says why a search finds a paper, or why it does not"
          USAGE = "ID CQL [OPTIONS]"
          EXAMPLES = ["hobrin explain 10.5555/hobrin.trial-2021 'earplug* and deliri* not dc.date < 2016'"].freeze

          private

          def run(id, cql)
            found = Services::Library::Search.new(library!).call(cql)
            explained = Services::Library::ExplainPaper.new(context).call(id, found.tree)
            @out.puts "#{"RETRACTED: " if explained.record.retracted?}#{explained.record.title}", ""
            explained.found ? found_by(explained) : kept_out(explained)
          end

          def found_by(explained)
            @out.puts "It is found by:"
            explained.reasons.each do |reason|
              @out.puts "  #{Strategy::Cql.write(reason.leaf)}", *places(reason, explained.record),
                        *headings(reason)
            end
          end

          def kept_out(explained)
            @out.puts "It is not found. What keeps it out:"
            explained.missing.each { |tree| @out.puts "  #{Strategy::Cql.write(tree)}" }
          end

          AROUND = 30
          private_constant :AROUND

          # The words in their field, with some text around them.
          def places(reason, record)
            reason.places.map do |field, found|
              text = Retrieval::Reasons::TextPlaces.texts(record, field).join(" · ")
              from, to = found.first
              more = found.size > 1 ? " (#{found.size} times)" : ""
              name = Strategy::TextTerm::FIELDS.fetch(field)
              next "    #{name}: #{text}#{more}" unless %i[title abstract].include?(field)

              start = [from - AROUND, 0].max
              around = text[start...(to + AROUND)].tr("\n", " ")
              "    #{field}: #{"…" if start.positive?}#{around}…#{more}"
            end
          end

          def headings(reason)
            reason.headings.map do |heading|
              aspects = heading.aspects.any? ? ": #{heading.aspects.join(", ")}" : ""
              "    heading: #{heading.label}#{" (main topic)" if heading.main}#{aspects}"
            end
          end
        end
      end
    end
  end
end
