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
          raise InputError, { name: "A name is one word of up to 30 letters, digits or hyphens, such as broad-sleep." }
        end

        @tree = tree
        freeze
      end

      # As written: "12 not broad".
      def rule = write(tree)

      private

      def write(tree)
        case tree
        when Line then tree.name
        when AnyOf then tree.parts.map { |part| nested(part) }.join(" or ")
        when AllOf then tree.parts.map { |part| nested(part) }.join(" and ")
        when Except then "#{nested(tree.kept)} not #{nested(tree.taken)}"
        end
      end

      def nested(tree) = tree.is_a?(Line) ? tree.name : "(#{write(tree)})"
    end
  end
end
