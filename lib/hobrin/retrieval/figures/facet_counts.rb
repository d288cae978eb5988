# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What the records of a set have in common: the values of a facet and how many records have
    # each.
    module FacetCounts
      FACETS = %i[heading main journal type age year language place sex species flag].freeze

      # set :: RecordSet; name :: one of FACETS; limit :: how many values at most.
      # Gives an Array of [value, number of records], the most common first, then by name.
      #
      #   FacetCounts.call(set, :type, evaluator) # => [["cohort study", 18], ["guideline", 2]]
      def self.call(set, name, evaluator, limit: nil)
        raise ArgumentError, "no such facet: #{name}" unless FACETS.include?(name)

        counted = evaluator.index.sets(name).filter_map do |value, records|
          next if value == Strategy::Heading::ANY

          size = records.overlap(set)
          [value, size] if size.positive?
        end
        sorted = counted.sort_by { |value, size| [-size, value] }
        limit ? sorted.first(limit) : sorted
      end
    end
  end
end
