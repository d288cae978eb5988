# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin explain ID CQL
      class Explain < Command
        SUMMARY = "Says why a search finds a paper, or why it does not"
        USAGE = "ID CQL [OPTIONS]"
        EXAMPLES = ["hobrin explain 10.5555/hobrin.trial-2021 'earplug* and deliri* not dc.date < 2016'"].freeze

        private

        def run(id, cql)
          found = Services::Search.new(library!).call(cql)
          explained = Services::ExplainPaper.new(context).call(id, found.tree)
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
