# frozen_string_literal: true

require "strscan"

module Hobrin
  module Exchange
    module CslJson
      # Cuts a JSON list into its items without reading it whole: it follows brackets and strings only.
      class Entries
        PIECE = 256 * 1024
        STRING = /"(?:[^"\\]|\\.)*"/mn
        # As much as has no bracket outside a string; possessive, so that it never goes back.
        FLAT = /(?:[^"{}\[\]]++|"(?:[^"\\]++|\\.)*+")++/mn
        SCALAR = /[^\s,\]{}\[]+/n
        # Where the next item may begin after one that has no end.
        NEXT_ITEM = /\n[ \t]{0,4}(?=\{)/n
        private_constant :PIECE, :STRING, :FLAT, :SCALAR, :NEXT_ITEM

        # io :: read as bytes. Yields each Entry. Raises InputError (:file) when it is no JSON list.
        def self.each(io, &) = new(io).each(&)

        def initialize(io)
          @io = Lines.plain(io)
          @scanner = StringScanner.new("".b)
          @place = 0
          @line = 1
        end

        def each
          open_list
          while between_items
            text, reason = @scanner.check(/\{/) ? object : scalar
            yield Entry.new(place: @place += 1, line: @line, text:, reason:)
            @line += text.count("\n")
            @start = nil
          end
        end

        private

        def open_list
          more
          skip(/\s+/n)
          return if @scanner.skip(/\[/)

          raise InputError, { file: "This is JSON, but not a list of CSL items." } if @scanner.check(/[{"\d]/)

          raise InputError, { file: "This is not JSON: it does not begin with [." }
        end

        # Passes over white space and commas; false at the end of the list or of the file.
        def between_items
          skip(/[\s,]+/n)
          skip(/[\s,]+/n) while @scanner.eos? && more
          !@scanner.eos? && !@scanner.check(/\]/)
        end

        def skip(pattern)
          passed = @scanner.scan(pattern)
          @line += passed.count("\n") if passed
        end

        # Gives [the text, nil], or [what there was, why it is no item].
        def object = indented || followed

        # In a list that is laid out in lines, an item ends at the first } as deep as its own {. That is found much
        # faster than by following brackets; nil when it does not come out even, or the end is not at hand.
        def indented
          indent = @scanner.string.byteslice([@scanner.pos - 40, 0].max...@scanner.pos)[/\n([ \t]*)\z/n, 1] or return
          ending = "\n#{indent}}"
          at = @scanner.string.index(ending, @scanner.pos) or return
          text = @scanner.string.byteslice(@scanner.pos...(at + ending.bytesize))
          return unless text.count("{") == text.count("}") && text.bytesize <= Entry.longest

          @scanner.pos += text.bytesize
          [text, nil]
        end

        def followed
          @start = @scanner.pos
          depth = 0
          loop do
            depth += step
            return [taken, nil] if depth.zero?
            return too_long if @scanner.pos - @start > Entry.longest
            next if !@out || more

            @scanner.terminate
            return [taken, "the file ends inside this entry"]
          end
        end

        # Passes over one bracket, string or stretch between. Gives by how much it goes deeper. Sets @out when
        # the text at hand runs out first.
        def step
          @out = false
          return 1 if @scanner.skip(/[{\[]/n)
          return -1 if @scanner.skip(/[}\]]/n)

          @out = !@scanner.skip(FLAT)
          0
        end

        def too_long
          text = taken
          @scanner.skip_until(NEXT_ITEM) || @scanner.terminate
          [text, "is longer than #{Entry.longest} bytes"]
        end

        def taken = @scanner.string.byteslice(@start...@scanner.pos)

        def scalar
          text = @scanner.scan(STRING) || @scanner.scan(SCALAR) || @scanner.getch
          [text, "is not a CSL item"]
        end

        # Reads the next piece behind the entry at hand; false at the end of the file.
        def more
          piece = @io.read(PIECE) or return false
          kept = @start || @scanner.pos
          at = @scanner.pos - kept
          @scanner.string = @scanner.string.byteslice(kept..) << piece.b
          @scanner.pos = at
          @start = 0 if @start
          true
        end
      end
    end
  end
end
