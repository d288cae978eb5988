# frozen_string_literal: true

module Hobrin
  module Narrowing
    # How many papers of each year the search has before its dates are limited, without a gap from
    # the first year to the last.
    class PerYear < Value
      # counts :: Hash of year (Integer) to papers, in order; undated :: papers that state no year
      attributes :counts, :undated

      # More years than this are cut from the old end, so that each stays wide enough to be pointed
      # at.
      MOST = 60
      private_constant :MOST

      # Those that were added manually count, too. cascade :: the Cascade as it is now; evaluator
      # :: an Evaluator
      def self.of(cascade, evaluator)
        set = cascade.without(:dates, evaluator) | (cascade.final - cascade.found)
        found = evaluator.index.sets(:year).transform_values { |papers| papers.overlap(set) }
                         .select { |_, papers| papers.positive? }.transform_keys do |year|
          Integer(
            year, 10
          )
        end
        new(counts: filled(found).freeze, undated: set.size - found.values.sum)
      end

      def self.filled(found)
        return {} if found.empty?

        first = [found.keys.min, found.keys.max - MOST + 1].max
        (first..found.keys.max).to_h { |year| [year, found.fetch(year, 0)] }
      end
      private_class_method :filled
    end
  end
end
