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
        # What stands between entries is a comment, unless it looks like a field.
        FIELD = /\A\s*[A-Za-z][\w-]*\s*=\s*[{"\d]/n
        private_constant :FIRST, :BRACE, :PAREN, :FIELD

        # io :: read as bytes. Yields each Entry.
        def self.each(io, &) = new(io).each(&)

        def initialize(io)
          @io = io
          @place = 0
          close
        end

        def each(&)
          Lines.each(@io) do |line, number|
            if line.match?(FIRST)
              yield entry(Book.t("exports.entry.begins_early")) if @lines.any?
              tell(&)
              begin_at(number)
            end
            next stray(line, number) if @closed

            add(line)
            next if @depth.positive?

            yield entry(@size > Entry.longest ? Book.t("exports.entry.too_long", bytes: Entry.longest) : nil)
            close
          end
          yield entry(Book.t("exports.entry.ends_inside")) if @lines.any?
          tell(&)
        end

        private

        # A line outside any entry.
        def stray(line, number)
          return unless line.match?(FIELD)

          @stray_from ||= number
          @stray = @stray.to_i + line.bytesize + 1
        end

        # Says what was not read.
        def tell
          return unless @stray_from

          yield Entry.unread(place: @place += 1, line: @stray_from, bytes: @stray, likely: 1,
                             why: Book.t("exports.entry.fields_outside"))
          @stray_from = @stray = nil
        end

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
