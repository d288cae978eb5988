# frozen_string_literal: true

module Hobrin
  module Screening
    # How a person looks at the list of papers: nothing of it changes a decision.
    #
    # order :: one of ORDERS; group :: one of GROUPS; part :: one of PARTS; rung :: key of an
    #   Appraisal::Ladder::Rung, nil for all; find :: words that a paper must have, "" for none
    class ListView < Value
      attributes :order, :group, :part, :rung, :find

      ORDERS = { newest: "newest", strongest: "strongest", closest: "closest to the search",
                 likeliest: "most likely to be included" }.freeze
      GROUPS = { none: "not grouped", rung: "by strength", year: "by year",
                 source: "by source" }.freeze
      PARTS = { all: "all", unread: "to screen", keep: "included", unsure: "unsure", drop: "excluded",
                free: "free full text" }.freeze

      def initialize(order: :newest, group: :none, part: :all, rung: nil, find: "")
        @order = ORDERS.key?(order) ? order : :newest
        @group = GROUPS.key?(group) ? group : :none
        @part = PARTS.key?(part) ? part : :all
        @rung = rung
        @find = find.dup.freeze
        freeze
      end

      EVERYTHING = new

      # As an address says it: only what is not as usual.
      def to_query
        usual = { "order" => :newest, "group" => :none, "part" => :all, "rung" => nil, "find" => "" }
        asked = { "order" => order, "group" => group, "part" => part, "rung" => rung, "find" => find.strip }
        asked.reject { |name, value| value == usual[name] }.transform_values(&:to_s)
      end
    end
  end
end
