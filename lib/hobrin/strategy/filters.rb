# frozen_string_literal: true

module Hobrin
  module Strategy
    # The study filters that a search may name.
    class Filters
      attr_reader :names

      # trees :: Hash of "kind/width" to the tree that the filter stands for
      def initialize(trees)
        @trees = trees.dup.freeze
        @names = @trees.keys.freeze
        freeze
      end

      NONE = new({})

      # The tree of a Filter. Raises InputError (:filter), with the nearest names, for one that is not known.
      def tree(filter)
        @trees.fetch(filter.label) do
          raise InputError, { filter: "There is no study filter “#{filter.label}”.#{Text::Nearest.hint(filter.label, names)}" }
        end
      end
    end
  end
end
