# frozen_string_literal: true

module Hobrin
  module Strategy
    module Cql
      # A search text that cannot be read: the column from 1, what was found there, and what was
      # expected.
      class Error < InputError
        attr_reader :column, :found, :expected, :about

        # token :: the Lexer::Token at fault; expected :: String, or nil when `message` says it all
        # about :: :syntax, :index, :relation, :modifier, :boolean or :order
        def initialize(token, expected: nil, message: nil, about: :syntax)
          @about = about
          @column = token.column
          @found = token.kind == :end ? "the end" : "“#{token.text}”"
          @expected = expected
          super({ cql: "Column #{column}: #{message || "found #{found}, expected #{expected}."}" })
        end
      end
    end
  end
end
