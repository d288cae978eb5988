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

          refuse("Line #{leaf.name} refers back to itself.") if @seen.include?(leaf.name)
          tree = @trees.fetch(leaf.name) do
            refuse("There is no line “#{leaf.name}”.#{Text::Nearest.hint(leaf.name, @trees.keys)}")
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
    end
  end
end
