# frozen_string_literal: true

module Hobrin
  module Exchange
    module Tables
      # What a spreadsheet may be given.
      module Cells
        # What it would run as a formula, also behind spaces and signs like them, and in wide
        # letters.
        FORMULA = /\A[[:space:][:cntrl:]\p{Cf}]*[=+\-@＝＋－＠]/
        # What XML cannot hold.
        UNHEARD = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/
        private_constant :FORMULA

        # A text that is only a text there; numbers stay as they are.
        def self.plain(value)
          return value unless value.is_a?(String)

          text = value.gsub(UNHEARD, "")
          text.match?(FORMULA) ? "'#{text}" : text
        end
      end
    end
  end
end
