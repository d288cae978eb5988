# frozen_string_literal: true

module Hobrin
  module Exchange
    # The lines of a stream of bytes, whatever its line ends and its marks of encoding.
    module Lines
      # No line is read further than this at once, so that a file without line ends does not fill
      # memory.
      LONGEST = 1_000_000
      MARKS = { "\xEF\xBB\xBF".b => nil, "\xFF\xFE".b => Encoding::UTF_16LE,
                "\xFE\xFF".b => Encoding::UTF_16BE }.freeze
      private_constant :LONGEST, :MARKS

      class << self
        # io :: read as bytes, from its beginning; any IO that can be rewound.
        # Yields each line (bytes, without its end) and its number from 1.
        def each(io)
          number = 0
          plain(io).each_line("\n", LONGEST) do |line|
            line.chomp.split("\r", -1).each { |part| yield part.b, number += 1 }
            yield "".b, number += 1 if line.chomp.empty?
          end
        end

        # The stream past its mark of encoding, as UTF-8 or unknown bytes.
        def plain(io)
          io.binmode
          start = io.read(3).to_s
          mark, encoding = MARKS.find { |bytes, _| start.b.start_with?(bytes) }
          io.seek(mark ? mark.bytesize : 0)
          encoding ? Transcoded.new(io, encoding) : io
        end
      end

      # Reads another encoding as UTF-8, a piece at a time.
      class Transcoded
        PIECE = 64 * 1024
        private_constant :PIECE

        def initialize(io, encoding)
          @io = io
          replacing = { invalid: :replace, undef: :replace }
          @converter = Encoding::Converter.new(encoding, Encoding::UTF_8, **replacing)
        end

        # As IO#read with a size; sizes are only roughly kept.
        def read(size)
          piece = @io.read(size) or return
          @converter.convert(piece).b
        end

        # As IO#each_line.
        def each_line(ending, limit)
          rest = "".b
          while (piece = read(PIECE))
            *lines, rest = (rest << piece).split(ending, -1)
            lines.each { |line| yield line[0, limit] }
          end
          yield rest unless rest.empty?
        end
      end

      # Text from bytes of unknown encoding. What is valid UTF-8 is taken for it; anything else for
      # Windows-1252, the other encoding that reference lists come in (common practice, no source). A
      # text that begins with the mark of UTF-16 is that.
      module Utf8
        UTF16 = { "\xFF\xFE".b => Encoding::UTF_16LE, "\xFE\xFF".b => Encoding::UTF_16BE }.freeze
        # As `count` and `delete` of a String take it, which are far quicker than a pattern.
        CONTROL = "\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F"
        private_constant :UTF16, :CONTROL

        # bytes :: String. Gives it as valid UTF-8 without control characters; tabs and line ends
        #   stay.
        def self.of(bytes)
          mark = UTF16.keys.find { |key| bytes.byteslice(0, 2).b == key }
          return marked(bytes, mark) if mark

          text = bytes.dup.force_encoding(Encoding::UTF_8)
          text = windows(bytes) unless text.valid_encoding?
          text.count(CONTROL).zero? ? text : text.delete(CONTROL)
        end

        # The end may be cut within a letter.
        def self.marked(bytes, mark)
          text = bytes.byteslice(2..).force_encoding(UTF16.fetch(mark))
          text.encode(Encoding::UTF_8, invalid: :replace, undef: :replace).delete(CONTROL)
        end

        def self.windows(bytes)
          text = bytes.dup.force_encoding(Encoding::Windows_1252)
          text.encode(Encoding::UTF_8, invalid: :replace, undef: :replace)
        end
        private_class_method :marked, :windows
      end
    end
  end
end
