# frozen_string_literal: true

module Hobrin
  module Strategy
    # One name in a block: a leaf of the tree with an id that stays while it is changed.
    #
    # leaf :: TextTerm, Proximity, Heading, Author or Journal; crossed_out :: nil while in use, else
    #   the reason it stays in sight
    # but out of the search ("" when none was given); excluded :: whether what it finds is taken
    # away (NOT)
    class Term < Expression
      attributes :id, :leaf, :crossed_out, :excluded

      LEAVES = [TextTerm, Proximity, Heading, Author, Journal].freeze
      LONGEST_REASON = 200

      def initialize(id:, leaf:, crossed_out: nil, excluded: false)
        raise InputError, { reason: "Keep the reason to #{LONGEST_REASON} characters." } if crossed_out.to_s.size > LONGEST_REASON

        @id = id
        @leaf = leaf
        @crossed_out = crossed_out&.dup.freeze
        @excluded = excluded ? true : false
        freeze
      end

      # Whether it finds papers for its block; whether it takes papers from it.
      def in_use? = crossed_out.nil? && !excluded
      def excluded? = crossed_out.nil? && excluded
      def crossed_out? = !crossed_out.nil?
      def heading? = leaf.is_a?(Heading)
      def label = leaf.label
    end
  end
end
