# frozen_string_literal: true

module Hobrin
  module Exchange
    module Skos
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
              refuse("a line is longer than #{LONGEST_LINE} bytes") if line.bytesize > LONGEST_LINE
              refuse(too_large(format)) if (size += line.bytesize) > MOST_BYTES[format]
              refuse("it is nested too deep") if (depth = deeper(depth, line, format)) > DEEPEST
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
            line.scan(TAG).sum { |closing, alone| alone ? 0 : (closing ? -1 : 1) }
          end

          def too_large(format)
            said = "it is larger than #{MOST_BYTES[format]} bytes"
            format == :rdfxml ? "#{said}; as Turtle or N-Triples it may be far larger" : said
          end

          def refuse(message) = raise(InputError, { file: "This is no thesaurus: #{message}." })
        end
      end
    end
  end
end
