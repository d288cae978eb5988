# frozen_string_literal: true

module Hobrin
  module Strategy
    # Lines joined, met and subtracted in one short text: CQL with the names of lines as its bare
    # words, which CQL leaves to who reads it. Booleans have one precedence and run from left to
    # right.
    #
    #   LineNotation.read("12 not (broad or 9)") # => Except of Line "12" and AnyOf of two lines
    module LineNotation
      class << self
        # text :: String. Gives a tree of Line leaves. Raises InputError (:notation).
        def read(text)
          tree(Cql::Parser.new(text).call)
        rescue Cql::Error => e
          raise InputError,
                { notation: "#{e.errors.values.first} Write lines like this: 12 not (broad or 9)." }
        end

        private

        def tree(part)
          part.is_a?(Cql::Parser::Clause) ? line(part) : chain(part)
        end

        def line(clause)
          named = clause.index.nil? || (clause.index.plain.casecmp?("cql.resultSetId") && clause.relation.text == "=")
          return Line.new(name: clause.term.plain.downcase) if named

          raise Cql::Error.new(clause.index,
                               message: "only lines can stand here, not “#{clause.index.text}”.")
        end

        def chain(chain)
          chain.links.reduce(tree(chain.first)) do |left, link|
            right = tree(link.right)
            case link.operator.text.downcase
            when "and" then AllOf.of([left, right])
            when "or" then AnyOf.of([left, right])
            when "not" then Except.new(kept: left, excluded: right)
            else raise Cql::Error.new(link.operator, expected: "and, or or not between lines")
            end
          end
        end
      end
    end
  end
end
