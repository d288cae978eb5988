# frozen_string_literal: true

module Hobrin
  module Exchange
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
        mark = UTF16.keys.find { |one| bytes.byteslice(0, 2).b == one }
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
