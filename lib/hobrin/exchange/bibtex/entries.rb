# frozen_string_literal: true

module Hobrin
  module Exchange
    module Bibtex
      # Cuts a stream into entries by their braces. An entry begins with an @ that is the first
      # thing on its line; if one begins inside another, that other one was never closed.
      class Entries
        FIRST = /\A\s*@\s*[A-Za-z]+\s*[{(]/n
        # Every brace counts, as it does for BibTeX, also inside quotation marks and behind a
        # backslash.
        BRACE = /[{}]/n
        PAREN = /\A\s*@\s*[A-Za-z]+\s*\(/n
        private_constant :FIRST, :BRACE, :PAREN

        # io :: read as bytes. Yields each Entry.
        def self.each(io, &) = new(io).each(&)

        def initialize(io)
          @io = io
          @place = 0
          close
        end

        def each
          Lines.each(@io) do |line, number|
            if line.match?(FIRST)
              yield entry("an entry begins before this one is closed") if @lines.any?
              begin_at(number)
            end
            next unless @place.positive? && !@closed

            add(line)
            next if @depth.positive?

            yield entry(@size > Entry.longest ? "is longer than #{Entry.longest} bytes" : nil)
            close
          end
          yield entry("the file ends inside this entry") if @lines.any?
        end

        private

        def begin_at(number)
          close
          @place += 1
          @first = number
          @closed = false
        end

        def close
          @lines = []
          @depth = @size = 0
          @closed = true
        end

        def add(line)
          @size += line.bytesize
          @lines << line if @size <= Entry.longest
          line = line.sub(PAREN, "@{") if @lines.one?
          line = line.sub(/\)\s*\z/n, "}") if paren?
          line.scan(BRACE) { |brace| @depth += brace == "{" ? 1 : -1 }
        end

        # Whether the entry was opened with a parenthesis.
        def paren? = @lines.first.to_s.match?(PAREN)

        def entry(reason) = Entry.new(place: @place, line: @first, text: @lines.join("\n"), reason:)
      end
    end
  end
end
