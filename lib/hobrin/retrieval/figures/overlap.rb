# frozen_string_literal: true

module Hobrin
  module Retrieval
    # How several sets lie over each other.
    #
    # sizes   :: Array of how many each holds; all :: how many are in every one
    # pairs   :: Hash of [place, place] to how many two of them share
    # regions :: Hash of Array of places to how many are in just those sets; only for two or three
    #   sets
    class Overlap < Value
      attributes :sizes, :pairs, :all, :regions

      # sets :: Array of RecordSet
      def self.of(sets)
        places = sets.each_index.to_a
        pairs = places.combination(2).to_h do |pair|
          [pair, sets[pair.first].overlap(sets[pair.last])]
        end
        new(sizes: sets.map(&:size), pairs:, all: sets.empty? ? 0 : Records::RecordSet.intersection(sets).size,
            regions: sets.size.between?(2, 3) ? regions(sets, places) : {})
      end

      def self.regions(sets, places)
        (1..places.size).flat_map { |size| places.combination(size).to_a }.to_h do |inside|
          others = Records::RecordSet.union(sets.values_at(*(places - inside)))
          [inside, (Records::RecordSet.intersection(sets.values_at(*inside)) - others).size]
        end
      end
      private_class_method :regions
    end
  end
end
