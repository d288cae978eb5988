# frozen_string_literal: true

module Hobrin
  module Exchange
    module Skos
      # Writes a thesaurus as Turtle, one concept after the other, so that its size does not matter.
      class Writer
        PREFIXES = { "skos" => CORE, "dct" => "http://purl.org/dc/terms/", "hobrin" => OWN }.freeze
        private_constant :PREFIXES

        # thesaurus :: Thesaurus; io :: what it is written to; sample :: says that it is made up
        def call(thesaurus, io, sample: false)
          @thesaurus = thesaurus
          io << "# Made-up sample headings of Hobrin.\n" if sample
          PREFIXES.each { |name, uri| io << "@prefix #{name}: <#{uri}> .\n" }
          thesaurus.headings.each { |heading| io << "\n#{concept(heading)}" }
        end

        private

        def concept(heading)
          facts = [["a", "skos:Concept"], ["skos:prefLabel", literal(heading.label)],
                   *heading.also_called.map { |name| ["skos:altLabel", literal(name)] }, *notes(heading),
                   *heading.broader.map { |label| ["skos:broader", uri(label)] },
                   *heading.related.map { |label| ["skos:related", uri(label)] },
                   *heading.use_instead.map { |label| ["dct:isReplacedBy", uri(label)] },
                   *heading.aspects.map { |aspect| ["hobrin:aspect", plain(aspect)] }]
          "#{uri(heading.label)}\n#{facts.map { |name, value| "  #{name} #{value}" }.join(" ;\n")} .\n"
        end

        def notes(heading)
          [*([["skos:definition", literal(heading.definition)]] unless heading.definition.empty?),
           *([["skos:notation", plain(heading.notation)]] if heading.notation),
           *([["dct:created", plain(heading.added.to_s)]] if heading.added)]
        end

        # A heading without a URI gets one made of its label.
        def uri(label)
          uri = @thesaurus.heading(label).uri || "#{HEADING}#{encoded(label)}"
          "<#{uri.gsub(/[\u0000-\u0020<>"{}|^`\\]/) { |char| code(char) }}>"
        end

        def encoded(label) = label.b.gsub(/[^A-Za-z0-9_.~-]/n) { |byte| format("%%%02X", byte.ord) }

        def literal(text) = "#{plain(text)}@en"

        def plain(text)
          escaped = text.gsub(/["\\]/) { |char| "\\#{char}" }
          "\"#{escaped.gsub(/[\u0000-\u001F]/) { |char| code(char) }}\""
        end

        def code(char) = format("\\u%04X", char.ord)
      end
    end
  end
end
