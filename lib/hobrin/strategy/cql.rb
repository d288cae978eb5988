# frozen_string_literal: true

require "strscan"

module Hobrin
  module Strategy
    # The text form of a strategy: CQL, the Contextual Query Language (OASIS searchRetrieve 1.0,
    # part 5), level 2.
    #
    # Reading goes in three passes: Lexer (text to tokens), Parser (tokens to clauses and their
    # Booleans), Reader (what each clause means here). Writing a tree and reading it gives the same
    # tree, always.
    module Cql
      # text :: String; vocabulary :: Vocabulary, the names that a search may use.
      # Gives a tree. Raises Cql::Error, which says where.
      #
      #   Cql.read("sleep* and dc.title = noise", vocabulary) # => AllOf of two TextTerm
      def self.read(text, vocabulary) = Reader.new(vocabulary).call(Parser.new(text).call)

      # Names of all indexes.
      def self.indexes = Clauses::INDEXES.values

      # A tree in; its one canonical text out.
      def self.write(tree) = Writer.call(tree)

      # A search text that cannot be read: the column from 1, what was found there, and what was
      # expected.
      class Error < InputError
        attr_reader :column, :found, :expected, :about

        # token :: the Lexer::Token at fault; expected :: String, or nil when `message` says it all
        # about :: :syntax, :index, :relation, :modifier, :boolean or :order
        def initialize(token, expected: nil, message: nil, about: :syntax)
          @about = about
          @column = token.column
          @found = token.kind == :end ? Book.t("strategy.cql.end") : "“#{token.text}”"
          @expected = expected
          message ||= Book.t("strategy.cql.found_expected", found:, expected:)
          super({ cql: Book.t("strategy.cql.at_column", column:, message:) })
        end
      end

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

        LONGEST = FieldLengths.of(:cql)
        RULES = { open: /\(/, close: /\)/, slash: %r{/}, comparison: /==|<=|>=|<>|[=<>]/,
                  quoted: /"((?:[^"\\]|\\.)*)"/m, word: %r{(?:[^\s()=<>"/\\]|\\.)+} }.freeze
        private_constant :LONGEST, :RULES

        class << self
          # text :: String. Gives an Array of Token, the last of kind :end. Raises Cql::Error.
          def call(text)
            refuse(1, text[0, 20], Book.t("strategy.cql.too_long", most: LONGEST)) if text.size > LONGEST

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
            return Book.t("strategy.cql.open_quote") if char == "\""

            Book.t("strategy.cql.backslash")
          end

          def refuse(column, text, message)
            raise Error.new(Token.new(kind: :word, text:, column:), message:)
          end
        end
      end
    end
  end
end
