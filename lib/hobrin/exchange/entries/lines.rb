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
    end
  end
end
