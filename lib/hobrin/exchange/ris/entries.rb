# frozen_string_literal: true

module Hobrin
  module Exchange
    module Ris
      # Cuts a stream of tagged lines into entries, each from TY to ER. What stands before the first
      # TY, or between entries, is passed over, unless it has tags: then it is said that it was not
      # read.
      class Entries
        FIRST = /\A\s*TY {1,2}- ?/n
        # A line end may be lost behind it.
        LAST = /\A\s*ER {1,2}-\s*(?=\z|TY {1,2}-)/n
        TAG = /\A\s*[A-Z][A-Z0-9] {1,2}-/n
        # An entry that lost its first line begins with one of these, likely.
        LIKELY = /\A\s*ER {1,2}-/n
        # An entry has one of these.
        ONCE = /\A\s*(?:TI|T1|ID) {1,2}-/n
        private_constant :FIRST, :LAST, :TAG, :LIKELY, :ONCE

        # io :: read as bytes. Yields each Entry.
        def self.each(io, &) = new(io).each(&)

        def initialize(io)
          @io = io
          @place = 0
          outside
        end

        def each(&)
          Lines.each(@io) { |line, number| take(line, number, &) }
          yield entry(Book.t("exports.entry.ends_inside")) if @lines
          tell(&)
        end

        private

        def take(line, number, &)
          begin_at(number, &) if line.match?(FIRST)
          @lines ? inside(line, &) : stray(line, number)
          after = line.sub(LAST, "")
          take(after, number, &) unless after == line || after.empty?
        end

        def begin_at(number, &)
          yield entry if @lines
          tell(&)
          @lines = []
          @place += 1
          @first = number
          @size = 0
        end

        def inside(line, &)
          @size += line.bytesize
          @lines << line if @size <= Entry.longest
          return unless line.match?(LAST)

          yield entry((Book.t("exports.entry.too_long", bytes: Entry.longest) if @size > Entry.longest))
          run_together(&)
          outside
        end

        # Says where two entries seem to have become one, which is read as far as it goes.
        def run_together
          once = @lines.grep(ONCE).map { |line| line[ONCE].strip }
          return if once.uniq.size == once.size

          yield Entry.unread(place: @place += 1, line: @first, bytes: @size, likely: 2,
                             why: Book.t("exports.entry.run_together"))
        end

        # A line outside any entry.
        def stray(line, number)
          return unless line.match?(TAG)

          @stray_from ||= number
          @stray += line.bytesize + 1
          @likely += 1 if line.match?(LIKELY)
        end

        # Says what was not read.
        def tell
          return unless @stray_from

          yield Entry.unread(place: @place += 1, line: @stray_from, bytes: @stray, likely: @likely,
                             why: Book.t("exports.entry.no_first_line"))
          outside
        end

        def outside
          @lines = @stray_from = nil
          @stray = @likely = 0
        end

        def entry(reason = nil) = Entry.new(place: @place, line: @first, text: @lines.join("\n"), reason:)
      end
    end
  end
end
