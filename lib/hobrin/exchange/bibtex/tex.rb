# frozen_string_literal: true

module Hobrin
  module Exchange
    module Bibtex
      # Text between BibTeX and people: what TeX has marks for, as letters; and back. The
      # latex-decode gem knows the symbols; what it mangles (apostrophes, money, accents written with
      # a space, commands of form) is seen to before it looks.
      module Tex
        # Signs that are meant as such go round the decoder in letters of Unicode's private area.
        SIGNS = { "textbraceleft" => "{", "textbraceright" => "}", "textbackslash" => "\\", "textless" => "<",
                  "textgreater" => ">", "textbar" => "|", "textquotesingle" => "'", "textquotedbl" => '"',
                  "textasciigrave" => "`", "textasciitilde" => "~", "textasciicircum" => "^", "textunderscore" => "_",
                  "textdollar" => "$" }.freeze
        ESCAPED = "$&%#_{}"
        ALL = [*SIGNS.values, *ESCAPED.chars, "-"].uniq
        CODES = ALL.each_with_index.to_h { |sign, index| [sign, [0xE100 + index].pack("U")] }.freeze
        DECODED = CODES.invert.freeze
        SIGN = /\\(#{SIGNS.keys.join("|")})(?![A-Za-z])(?:\{\}|\s*)/
        ESCAPE = /\\([#{Regexp.escape(ESCAPED)}])/

        ACCENTS = { "`" => "\u0300", "'" => "\u0301", "^" => "\u0302", '"' => "\u0308", "~" => "\u0303",
                    "=" => "\u0304", "." => "\u0307" }.freeze
        # An accent before a letter, in braces or not, with a space or not; i and j may be dotless.
        ACCENT = /\\([`'^"~=.])\s*(?:\{\s*\\?(\p{L})\s*(?:\{\})?\s*\}|\\([ij])(?![A-Za-z])(?:\{\})?|(\p{L}))/
        # What only changes the look of its text.
        LOOKS = /\\(?:emph|text(?:it|bf|sc|rm|sf|tt|sl|up|md|normal)|math(?:rm|it|bf|sf)|underline|mbox|hbox|url)\s*(?=\{)/
        OLD_LOOKS = /\\(?:em|it|bf|sc|rm|tt|sl|sf)(?![A-Za-z])\s*/
        RAISED = /\\text(sub|super)script\s*\{([^{}]*)\}/
        MATHS = /\$([^$]*+)\$/
        SCRIPT = /([_^])(?:\{([^{}]*)\}|(\w))/
        SUPER = "0123456789+-=()n".chars.zip("⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻⁼⁽⁾ⁿ".chars).to_h.freeze
        SUB = "0123456789+-=()".chars.zip("₀₁₂₃₄₅₆₇₈₉₊₋₌₍₎".chars).to_h.freeze
        SPECIAL = { "\\" => "\\textbackslash{}", "{" => "\\textbraceleft{}", "}" => "\\textbraceright{}", "&" => "\\&",
                    "%" => "\\%", "$" => "\\$", "#" => "\\#", "_" => "\\_", "~" => "\\textasciitilde{}",
                    "^" => "\\textasciicircum{}", "`" => "\\textasciigrave{}", "'" => "\\textquotesingle{}",
                    '"' => "\\textquotedbl{}", "<" => "\\textless{}", ">" => "\\textgreater{}" }.freeze
        # Two hyphens are a dash to TeX, and some pairs of signs are letters or quotation marks.
        WRITTEN = /[\\{}&%$#_~^`<>]|(?<=['`!?])['`]|''|-(?=-)/
        private_constant :SIGNS, :ESCAPED, :ALL, :CODES, :DECODED, :SIGN, :ESCAPE, :ACCENTS, :ACCENT, :LOOKS, :OLD_LOOKS,
                         :RAISED, :MATHS, :SCRIPT, :SUPER, :SUB, :SPECIAL, :WRITTEN

        class << self
          # source :: a value as BibTeX has it. Gives its text, white space as single spaces, nil for
          #   nothing.
          #
          #   Tex.read("Caf{\\'e} at \\$5") # => "Café at $5"
          def read(source)
            text = LaTeX.decode(prepared(source.to_s), maths: false)
            text = text.delete("{}").gsub(/[\u{E100}-\u{E1FF}]/) do |code|
              DECODED.fetch(code, code)
            end
            text = text.gsub(/[[:space:]]+/, " ").strip
            text unless text.empty?
          end

          # text :: String. Gives it as a value that BibTeX reads back alike.
          def write(text)
            text.to_s.gsub(/[[:space:]]+/, " ").gsub(WRITTEN) { |sign| written(sign) }
          end

          private

          def written(sign)
            case sign
            when "-" then "-{}"
            when "''" then SPECIAL["'"] * 2
            else SPECIAL.fetch(sign)
            end
          end

          def prepared(source)
            text = source.gsub(SIGN) { CODES.fetch(SIGNS.fetch(Regexp.last_match(1))) }
                         .gsub(ESCAPE) { CODES.fetch(Regexp.last_match(1)) }
            text = text.gsub(MATHS) do |maths|
              inside = Regexp.last_match(1)
              inside.match?(/[\\^_]/) ? scripts(inside) : maths
            end
            text = text.gsub("$") { CODES.fetch("$") }
            text = text.gsub(RAISED) { raised(*Regexp.last_match.captures) }
            text = text.gsub(ACCENT) { accented(*Regexp.last_match.captures) }
            text = text.gsub(LOOKS, "").gsub(OLD_LOOKS, "")
            text.gsub("``", "“").gsub("''", "”").gsub("-{}-") { CODES.fetch("-") * 2 }.gsub("'") { CODES.fetch("'") }
          end

          def scripts(maths)
            maths.gsub(SCRIPT) do
              mark, several, one = Regexp.last_match.captures
              raised(mark == "_" ? "sub" : "super", several || one)
            end
          end

          def raised(way, text)
            letters = way == "sub" ? SUB : SUPER
            text.chars.all? { |letter| letters.key?(letter) } ? text.chars.map { |letter| letters[letter] }.join : text
          end

          def accented(accent, *letters)
            "#{letters.compact.first}#{ACCENTS.fetch(accent)}".unicode_normalize(:nfc)
          end
        end
      end
    end
  end
end
