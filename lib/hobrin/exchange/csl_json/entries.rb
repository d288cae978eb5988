# frozen_string_literal: true

require "strscan"

module Hobrin
  module Exchange
    module CslJson
      # Cuts a JSON list into its items without reading it whole: it follows brackets and strings
      # only.
      class Entries
        PIECE = 256 * 1024
        STRING = /"(?:[^"\\]|\\.)*"/mn
        # As much as has no bracket outside a string; possessive, so that it never goes back.
        FLAT = /(?:[^"{}\[\]]++|"(?:[^"\\]++|\\.)*+")++/mn
        SCALAR = /[^\s,\]{}\[]+/n
        # Where the next item may begin after one that has no end.
        NEXT_ITEM = /\n[ \t]{0,4}(?=\{)/n
        # The same within an item that went wrong: where the one before ends and another begins with what
        # items begin with.
        LIKELY = /\}\s*,?\s*(?=\{\s*"(?:id|type|title|DOI|citation-key|abstract)"\s*:)|\n[ \t]{0,4}(?=\{)/n
        # Enough to see the beginning of an item across two pieces.
        LOOK_BACK = 8
        private_constant :LOOK_BACK, :PIECE, :STRING, :FLAT, :SCALAR, :NEXT_ITEM, :LIKELY

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
            line = @line
            text, reason, value = @scanner.check(/\{/) ? object : scalar
            yield Entry.new(place: @place += 1, line:, text:, reason:, value:)
            @line += text.count("\n")
            @start = nil
          end
        end

        private

        def open_list
          more
          skip(/\s+/n)
          return if @scanner.skip(/\[/)

          raise InputError, { file: Book.t("exports.entry.not_csl_list") } if @scanner.check(/[{"\d]/)

          raise InputError, { file: Book.t("exports.entry.not_json_list") }
        end

        # Passes over white space and commas, and over a bracket that would end the list where it goes
        # on; false at the end of the list or of the file.
        def between_items
          loop do
            skip(/[\s,]+/n)
            skip(/[\s,]+/n) while @scanner.eos? && more
            return !@scanner.eos? unless @scanner.check(/\]/)

            skip(/\]/n)
          end
        end

        def skip(pattern)
          passed = @scanner.scan(pattern)
          @line += passed.count("\n") if passed
        end

        # Gives [the text, nil, what JSON makes of it if that is known], or [what there was, why it
        # is no item].
        def object = laid_out || checked(*followed)

        # In a list that is laid out in lines, an item is a line of its own, or ends at the first }
        # as deep as its own {. Trying that is much faster than following brackets; nil when it is
        # no item, or not at hand. One that is laid out so but is not JSON is an item gone wrong,
        # and its end is where it seems.
        def laid_out
          from = @scanner.pos
          text = line(from)
          inline = text&.end_with?("}")
          text = indented(from) unless inline
          return unless text && text.bytesize <= Entry.longest

          value = item(text)
          return unless value || (!inline && text.count("{") == text.count("}"))

          @scanner.pos = from + text.bytesize
          [text, nil, value]
        end

        def line(from)
          line_end = @scanner.string.index("\n", from)
          @scanner.string.byteslice(from...line_end).rstrip.delete_suffix(",").rstrip if line_end
        end

        def indented(from)
          string = @scanner.string
          indent = string.byteslice([from - 40, 0].max...from)[/\n([ \t]*)\z/n, 1] or return
          ending = "\n#{indent}}"
          at = string.index(ending, from)
          string.byteslice(from...(at + ending.bytesize)) if at
        end

        def item(text)
          JSON.parse(Lines::Utf8.of(text), **Reader::SAFE)
        rescue JSON::ParserError, EncodingError
          nil
        end

        # An item that is not JSON may have lost a quotation mark or a bracket, and taken its neighbours
        # in: what comes after it begins where the next item likely does.
        def checked(text, reason)
          value = item(text) unless reason
          return [text, nil, value] if value

          return [text, reason] if reason && @start.nil?

          back = text.index(LIKELY, 1)
          return passed_over(LIKELY, reason || Book.t("exports.entry.not_json")) unless back

          ends = back + Regexp.last_match(0).bytesize
          @scanner.pos = @start + ends
          [text.byteslice(0, ends), Book.t("exports.entry.not_json")]
        end

        def followed
          @start = @scanner.pos
          depth = 0
          loop do
            depth += step
            return [taken, nil] if depth.zero?
            return endless if @scanner.pos - @start > Entry.longest || unending?
            next if !@out || more

            @scanner.terminate
            return [taken, Book.t("exports.entry.ends_inside")]
          end
        end

        # Passes over one bracket, string or stretch between. Gives by how much it goes deeper. Sets
        # @out when the text at hand runs out first.
        def step
          @out = false
          return 1 if @scanner.skip(/[{\[]/n)
          return -1 if @scanner.skip(/[}\]]/n)

          @out = !@scanner.skip(FLAT)
          0
        end

        # A text that does not end is not gathered any further.
        def unending? = @out && @scanner.string.bytesize - @start > Entry.longest + PIECE

        # Where another item seems to begin within it, it ends there.
        def endless = taken.index(LIKELY, 1) ? [taken, Book.t("exports.entry.too_long", bytes: Entry.longest)] : too_long

        def too_long = passed_over(NEXT_ITEM, Book.t("exports.entry.too_long", bytes: Entry.longest))

        # Passes over everything up to what looks like the beginning of the next item.
        def passed_over(pattern, why)
          text = taken.byteslice(0, 200)
          @line += taken.count("\n") - text.count("\n")
          # The bracket that ended it may be the one before the next item.
          @scanner.pos -= 1 if @scanner.pos - @start > 1
          @start = nil
          until (passed = @scanner.scan_until(pattern))
            @line += @scanner.rest.count("\n")
            rest = @scanner.rest.byteslice(-LOOK_BACK..) || "".b
            @scanner.string = rest
            break @scanner.terminate unless more
          end
          @line += passed.count("\n") if passed
          [text, why]
        end

        def taken = @scanner.string.byteslice(@start...@scanner.pos)

        def scalar
          text = @scanner.scan(STRING) || @scanner.scan(SCALAR) || @scanner.getch
          [text, Book.t("exports.entry.not_csl")]
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
