# frozen_string_literal: true

module Hobrin
  module Narrowing
    # A limit, or the study filter, at its place in the person's order, on or for now off. There is
    # one of each slot.
    #
    # leaf :: Strategy::Limit, Dates, Journal, Filter or OwnFilter
    class AppliedLimit < Value
      attributes :leaf, :on

      def initialize(leaf:, on: true)
        @leaf = leaf
        @on = on ? true : false
        freeze
      end

      def name = leaf.name
      def slot = leaf.slot
    end
  end
end
