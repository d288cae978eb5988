# frozen_string_literal: true

module Hobrin
  module Exchange
    # Text from bytes of unknown encoding. What is valid UTF-8 is taken for it; anything else for
    # Windows-1252, the other encoding that reference lists come in (common practice, no source).
    module Utf8
      CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/
      private_constant :CONTROL

      # bytes :: String. Gives it as valid UTF-8 without control characters; tabs and line ends
      #   stay.
      def self.of(bytes)
        text = bytes.dup.force_encoding(Encoding::UTF_8)
        text = windows(bytes) unless text.valid_encoding?
        text.match?(CONTROL) ? text.gsub(CONTROL, "") : text
      end

      def self.windows(bytes)
        text = bytes.dup.force_encoding(Encoding::Windows_1252)
        text.encode(Encoding::UTF_8, invalid: :replace, undef: :replace)
      end
      private_class_method :windows
    end
  end
end
