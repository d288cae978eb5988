# frozen_string_literal: true

module Hobrin
  module Strategy
    # The named lines that a tree may refer to.
    #
    #   Lines.new("3" => tree).resolve(Line.new(name: "3")) # => tree
    class Lines
      # trees :: Hash of name to tree, which may hold lines itself
      def initialize(trees)
        @trees = trees.dup.freeze
        freeze
      end

      # The tree with every Line replaced by what it stands for.
      # Raises InputError (:line) for a name that is not there or that leads back to itself.
      def resolve(tree) = Resolving.new(@trees, []).call(tree)

      # The names of the lines that a tree refers to.
      def self.names(tree) = Names.new.call(tree)

      # Puts the tree of each line in its place; remembers which lines led here.
      class Resolving < TreeWalker
        def initialize(trees, seen)
          super()
          @trees = trees
          @seen = seen
        end

        private

        def leaf(leaf)
          return leaf unless leaf.is_a?(Line)

          refuse(Book.t("strategy.lines.loop", line: leaf.name)) if @seen.include?(leaf.name)
          tree = @trees.fetch(leaf.name) do
            refuse(Book.t("strategy.lines.no_line", name: leaf.name, hint: Text::Nearest.hint(leaf.name, @trees.keys)))
          end
          Resolving.new(@trees, [*@seen, leaf.name]).call(tree)
        end

        def refuse(message) = raise(InputError, { line: message })
      end

      # Gathers the names of the lines in a tree, each once.
      class Names < TreeWalker
        private

        def any_of(_tree, parts) = parts.flatten.uniq
        alias all_of any_of
        def except(_tree, kept, excluded) = kept | excluded
        def leaf(leaf) = leaf.is_a?(Line) ? [leaf.name] : []
      end
      private_constant :Resolving, :Names

      # An earlier line of the trail, by its name; `Lines` puts the tree in its place.
      class Line < Expression
        attributes :name
      end

      # A line with a name: a point of the trail, or lines joined, met or subtracted.
      #
      # name :: a word of letters, digits and hyphens with a letter in it, so that it is no number of the trail
      # tree :: of Line leaves, AnyOf, AllOf and Except
      class NamedLine < Value
        attributes :name, :tree

        NAME = /\A(?=.*\p{L})[\p{L}\p{N}-]{1,30}\z/
        TAKEN = %w[and or not prox].freeze
        private_constant :NAME, :TAKEN

        # Raises InputError (:name).
        def initialize(name:, tree:)
          @name = name.strip.downcase.freeze
          if !NAME.match?(@name) || TAKEN.include?(@name)
            raise InputError,
                  { name: Book.t("strategy.lines.name_rule") }
          end

          @tree = tree
          freeze
        end

        # As written: "12 not broad".
        def rule = Rule.new.call(tree)

        # Writes a tree of lines; what is itself joined stands in parentheses.
        class Rule < TreeWalker
          private

          def any_of(tree, parts) = nested(tree.parts, parts).join(" or ")
          def all_of(tree, parts) = nested(tree.parts, parts).join(" and ")

          def except(tree, kept, excluded)
            nested([tree.kept, tree.excluded], [kept, excluded]).join(" not ")
          end

          def leaf(line) = line.name

          def nested(trees, texts)
            trees.zip(texts).map { |tree, text| tree.is_a?(Line) ? text : "(#{text})" }
          end
        end
        private_constant :Rule
      end

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
                  { notation: Book.t("strategy.lines.example", error: e.errors.values.first) }
          end

          private

          def tree(part)
            part.is_a?(Cql::Parser::Clause) ? line(part) : chain(part)
          end

          def line(clause)
            named = clause.index.nil? || (clause.index.plain.casecmp?("cql.resultSetId") && clause.relation.text == "=")
            return Line.new(name: clause.term.plain.downcase) if named

            raise Cql::Error.new(clause.index,
                                 message: Book.t("strategy.lines.only_lines", text: clause.index.text))
          end

          def chain(chain)
            chain.links.reduce(tree(chain.first)) do |left, link|
              right = tree(link.right)
              case link.operator.text.downcase
              when "and" then AllOf.of([left, right])
              when "or" then AnyOf.of([left, right])
              when "not" then Except.new(kept: left, excluded: right)
              else raise Cql::Error.new(link.operator, expected: Book.t("strategy.lines.operator"))
              end
            end
          end
        end
      end
    end
  end
end
