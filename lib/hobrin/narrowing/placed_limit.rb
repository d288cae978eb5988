# frozen_string_literal: true

module Hobrin
  module Narrowing
    # A limit at its place in the person's order, on or for now off.
    #
    # leaf :: Strategy::Limit or Strategy::Dates
    class PlacedLimit < Value
      attributes :leaf, :on

      def initialize(leaf:, on: true)
        @leaf = leaf
        @on = on ? true : false
        freeze
      end

      def name = leaf.name
    end
  end
end
