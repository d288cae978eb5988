# frozen_string_literal: true

module Hobrin
  module Sifting
    # How a person looks at the list of papers: nothing of it changes a decision.
    #
    # order :: one of ORDERS; part :: one of PARTS; rung :: key of an Appraisal::Ladder::Rung, nil for
    #   all; find :: words that a paper must have, "" for none
    class ListView < Value
      attributes :order, :part, :rung, :find

      ORDERS = { newest: "newest", strongest: "strongest", closest: "closest to the search" }.freeze
      PARTS = { all: "all", unread: "unread", keep: "kept", unsure: "unsure", drop: "dropped" }.freeze

      def initialize(order: :newest, part: :all, rung: nil, find: "")
        @order = ORDERS.key?(order) ? order : :newest
        @part = PARTS.key?(part) ? part : :all
        @rung = rung
        @find = find.dup.freeze
        freeze
      end

      EVERYTHING = new

      # As an address says it: only what is not as usual.
      def to_query
        { "order" => (order unless order == :newest), "part" => (part unless part == :all), "rung" => rung,
          "find" => (find unless find.strip.empty?) }.compact.transform_values(&:to_s)
      end
    end
  end
end
