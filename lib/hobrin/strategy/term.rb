# frozen_string_literal: true

module Hobrin
  module Strategy
    # One name in a block: a leaf of the tree with an id that stays while it is changed.
    #
    # leaf :: Words or Heading; crossed_out :: nil while in use, else the reason it stays in sight but
    # out of the search ("" when none was given)
    class Term < Value
      attributes :id, :leaf, :crossed_out

      LONGEST_REASON = 200

      def initialize(id:, leaf:, crossed_out: nil)
        if crossed_out.to_s.size > LONGEST_REASON
          raise InputError, { reason: "Keep the reason to #{LONGEST_REASON} characters." }
        end

        @id = id
        @leaf = leaf
        @crossed_out = crossed_out&.dup.freeze
        freeze
      end

      def in_use? = crossed_out.nil?
      def heading? = leaf.is_a?(Heading)
      def label = leaf.label
    end
  end
end
