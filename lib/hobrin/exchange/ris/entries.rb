# frozen_string_literal: true

module Hobrin
  module Exchange
    module Ris
      # Cuts a stream of tagged lines into entries, each from TY to ER. What stands before the first
      # TY is passed over.
      module Entries
        FIRST = /\A\s*TY {1,2}- ?/n
        LAST = /\A\s*ER {1,2}-\s*\z/n
        private_constant :FIRST, :LAST

        class << self
          # io :: read as bytes. Yields each Entry.
          def each(io)
            lines = nil
            place = first = size = 0
            Lines.each(io) do |line, number|
              if line.match?(FIRST)
                yield entry(place, first, lines) if lines
                lines = []
                place += 1
                first = number
                size = 0
              end
              next unless lines

              size += line.bytesize
              lines << line if size <= Entry.longest
              next unless line.match?(LAST)

              yield entry(place, first, lines, (too_long if size > Entry.longest))
              lines = nil
            end
            yield entry(place, first, lines, "the file ends inside this entry") if lines
          end

          private

          def entry(place, line, lines, reason = nil)
            Entry.new(place:, line:, text: lines.join("\n"), reason:)
          end

          def too_long = "is longer than #{Entry.longest} bytes"
        end
      end
    end
  end
end
