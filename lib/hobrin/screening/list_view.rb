# frozen_string_literal: true

module Hobrin
  module Screening
    # How a person looks at the list of papers: nothing of it changes a decision.
    #
    # order :: one of ORDERS; group :: one of GROUPS; part :: one of PARTS; rung :: key of an
    #   Appraisal::Ladder::Rung, nil for all; find :: words that a paper must have, "" for none
    class ListView < Value
      attributes :order, :group, :part, :rung, :find

      ORDERS = Book.names("screening.list.order", %i[newest strongest closest likeliest])
      GROUPS = Book.names("screening.list.group", %i[none rung year source])
      PARTS = Book.names("screening.list.part", %i[all unread keep unsure drop free])

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
