# frozen_string_literal: true

module Hobrin
  module Strategy
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
                { name: "A name is one word of up to 30 letters, digits or hyphens, such as broad-sleep." }
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
  end
end
