# frozen_string_literal: true

module Hobrin
  module Strategy
    # Walks a tree from its leaves up. A subclass says what a leaf comes to and how what the parts
    # came to is put together; what it does not say stays as it is, so that one which only says
    # `leaf` gives a changed tree. Everything that reads a tree is one of these: a new kind of
    # expression is known in one place.
    #
    #   class Labels < TreeWalker
    #     private
    #
    #     def leaf(leaf) = [leaf.label]
    #     def any_of(_tree, parts) = parts.flatten
    #   end
    #
    #   Labels.new.call(tree) # => ["sleep*", "Delirium"]
    class TreeWalker
      # tree :: any Expression that can be searched. Gives whatever the subclass makes of it.
      def call(tree)
        case tree
        when AnyOf then any_of(tree, tree.parts.map { |part| call(part) })
        when AllOf then all_of(tree, tree.parts.map { |part| call(part) })
        when Except then except(tree, call(tree.kept), call(tree.excluded))
        else leaf(tree)
        end
      end

      private

      # Hooks: the expression itself, then what its parts came to.
      def any_of(_tree, parts) = AnyOf.of(parts)
      def all_of(_tree, parts) = AllOf.of(parts)
      def except(_tree, kept, excluded) = Except.new(kept:, excluded:)
      def leaf(leaf) = leaf
    end
  end
end
