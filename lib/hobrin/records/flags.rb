# frozen_string_literal: true

module Hobrin
  module Records
    # Yes/no facts of a record. The last three are read off the record itself, the others are stated
    # by its source.
    module Flags
      RETRACTED = "retracted"
      FREE = "free full text"
      STATED = ["peer reviewed", "research article", "nursing journal", FREE, RETRACTED].freeze
      ALL = [*STATED, "has abstract", "nurse author", "nurse first author"].freeze

      # record :: a Record. Gives the flags that are true of it.
      def self.of(record)
        [*(record.flags & STATED), *("has abstract" unless record.abstract.to_s.strip.empty?),
         *("nurse author" if record.authors.any?(&:nurse)),
         *("nurse first author" if record.authors.first&.nurse)]
      end
    end
  end
end
