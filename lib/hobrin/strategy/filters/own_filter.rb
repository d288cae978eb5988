# frozen_string_literal: true

module Hobrin
  module Strategy
    # A study filter that a person wrote, under the name that they gave it. A search holds its terms
    # themselves, so that it can be run again wherever the name is not known; as CQL it is only its
    # terms.
    #
    # title :: String; tree :: the tree of its terms
    class OwnFilter < Expression
      attributes :title, :tree

      LONGEST_TITLE = 60
      private_constant :LONGEST_TITLE

      # Raises InputError (:title) for none or a long one.
      def initialize(title:, tree:)
        @title = title.strip.freeze
        unless @title.size.between?(1, LONGEST_TITLE)
          raise InputError,
                { title: "Give the filter a name of up to #{LONGEST_TITLE} characters." }
        end

        @tree = tree
        freeze
      end

      def name = :filter
      def slot = name

      # Its terms, any of which lets a paper through.
      def terms = tree.is_a?(AnyOf) ? tree.parts : [tree]
    end
  end
end
