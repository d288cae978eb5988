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
      def resolve(tree, seen = [])
        case tree
        when Line then resolve(named(tree.name, seen), [*seen, tree.name])
        when Joining then tree.class.of(tree.parts.map { |part| resolve(part, seen) })
        when Except then Except.new(kept: resolve(tree.kept, seen), taken: resolve(tree.taken, seen))
        else tree
        end
      end

      # The names of the lines that a tree refers to.
      def self.names(tree)
        case tree
        when Line then [tree.name]
        when Joining then tree.parts.flat_map { |part| names(part) }.uniq
        when Except then names(tree.kept) | names(tree.taken)
        else []
        end
      end

      private

      def named(name, seen)
        raise InputError, { line: "Line #{name} refers back to itself." } if seen.include?(name)

        @trees.fetch(name) do
          raise InputError, { line: "There is no line “#{name}”.#{Text::Nearest.hint(name, @trees.keys)}" }
        end
      end
    end
  end
end
