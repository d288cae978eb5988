# frozen_string_literal: true

module Hobrin
  module Exchange
    # A thesaurus in SKOS (W3C Recommendation, 2009): Turtle, N-Triples or RDF/XML in, Turtle out.
    # What SKOS has no word for, the aspects that a heading allows, stands under a property of
    # Hobrin's own.
    module Skos
      CORE = "http://www.w3.org/2004/02/skos/core#"
      OWN = "urn:hobrin:ns#"
      CREATED = "http://purl.org/dc/terms/created"
      # What took the place of a heading (DCMI Metadata Terms).
      REPLACED = "http://purl.org/dc/terms/isReplacedBy"
      HEADING = "urn:hobrin:heading:"
      # A statement on a line of its own, perhaps behind comments.
      TRIPLE = /\A(?:#.*\n\s*)*(?:<[^>\s]*>|_:\S+)\s+<[^>\s]+>\s+(?:<[^>\s]*>|_:|").*\.\s*$/
      private_constant :TRIPLE

      # sample :: the first bytes of a file. Gives :turtle, :ntriples, :rdfxml or nil; a guess from
      #   the text alone.
      def self.detect(sample)
        text = Lines::Utf8.of(sample).delete_prefix("\u{FEFF}").lstrip
        return :rdfxml if text.match?(/\A(?:<\?xml|<!DOCTYPE|<rdf:)/)
        return :ntriples if text.match?(TRIPLE) && !text.match?(/^\s*@?prefix/i)

        :turtle if text.match?(/^\s*(?:@?prefix|@?base|[\w-]*:\S+|<[^>]*>)\s/i)
      end

      # Whether a file can be a thesaurus at all, before a parser builds all of it in memory: not too
      # large, no text without end, nothing nested deeper than a list of headings is.
      module Shape
        # The reader of RDF/XML holds a file whole, some seventy times its size; the others do not.
        MOST_BYTES = { turtle: 200_000_000, ntriples: 400_000_000, rdfxml: 3_000_000 }.freeze
        LONGEST_LINE = 200_000
        DEEPEST = 100
        OPENING = /[\[(]/n
        CLOSING = /[\])]/n
        TAG = %r{<(/)?[A-Za-z_][^<>]*?(/)?>}n
        private_constant :MOST_BYTES, :LONGEST_LINE, :DEEPEST, :OPENING, :CLOSING, :TAG

        class << self
          # io :: the file, from its beginning, where it is left again. Raises InputError (:file).
          def check(io, format)
            depth = size = 0
            io.each_line("\n", LONGEST_LINE + 1) do |line|
              line = line.b
              refuse(Book.t("exports.skos.long_line", bytes: LONGEST_LINE)) if line.bytesize > LONGEST_LINE
              refuse(too_large(format)) if (size += line.bytesize) > MOST_BYTES[format]
              refuse(Book.t("exports.skos.too_deep")) if (depth = deeper(depth, line, format)) > DEEPEST
            end
            io.rewind
          end

          private

          # Brackets within texts count, too: they close again, or do no harm up to the bound.
          def deeper(depth, line, format)
            return depth + tags(line) if format == :rdfxml
            return 0 if line.match?(/\.\s*\z/n)

            [depth + line.scan(OPENING).size - line.scan(CLOSING).size, 0].max
          end

          def tags(line)
            line.scan(TAG).reject { |_, alone| alone }.sum { |closing, _| closing ? -1 : 1 }
          end

          def too_large(format)
            said = Book.t("exports.skos.too_large", bytes: MOST_BYTES[format])
            format == :rdfxml ? Book.t("exports.skos.as_turtle", reason: said) : said
          end

          def refuse(message) = raise(InputError, { file: Book.t("exports.skos.not_a_thesaurus", reason: message) })
        end
      end

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
