# frozen_string_literal: true

require "strscan"

module Hobrin
  module Strategy
    module Cql
      # Cuts a search text into tokens.
      module Lexer
        # kind :: :open, :close, :slash, :comparison, :word, :quoted or :end
        # text :: as written, without quotation marks but with its backslashes; column :: from 1
        class Token < Value
          attributes :kind, :text, :column

          # The text with \x standing for x.
          def plain = text.gsub(/\\(.)/m, '\1')

          def word?(*names) = kind == :word && names.include?(text.downcase)
        end

        LONGEST = 50_000
        RULES = { open: /\(/, close: /\)/, slash: %r{/}, comparison: /==|<=|>=|<>|[=<>]/,
                  quoted: /"((?:[^"\\]|\\.)*)"/m, word: %r{(?:[^\s()=<>"/\\]|\\.)+} }.freeze
        private_constant :LONGEST, :RULES

        class << self
          # text :: String. Gives an Array of Token, the last of kind :end. Raises Cql::Error.
          def call(text)
            refuse(1, text[0, 20], "Keep a search to #{LONGEST} characters.") if text.size > LONGEST

            scanner = StringScanner.new(text)
            tokens = []
            tokens << token(scanner) while scanner.skip(/\s*/) && !scanner.eos?
            tokens << Token.new(kind: :end, text: "", column: text.size + 1)
          end

          private

          def token(scanner)
            column = scanner.charpos + 1
            kind, rule = RULES.find { |_, pattern| scanner.match?(pattern) }
            refuse(column, scanner.peek(1), open_ended(scanner.peek(1))) unless kind

            text = scanner.scan(rule)
            Token.new(kind:, text: kind == :quoted ? text[1...-1] : text, column:)
          end

          # Only a quotation mark and a backslash can be left without what belongs to them.
          def open_ended(char)
            return "this quotation mark is never closed." if char == "\""

            "a \\ takes the letter after it as it is; there is none here."
          end

          def refuse(column, text, message)
            raise Error.new(Token.new(kind: :word, text:, column:), message:)
          end
        end
      end
    end
  end
end
