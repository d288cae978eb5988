# frozen_string_literal: true

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
    end
  end
end
