# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What all outcomes come to, line by line, and how far findings of experience studies can be
    # relied on.
    module Findings
      # The most important outcomes first.
      ORDER = Outcome::MATTERS.keys.freeze

      # pools :: Array of Together::Pool; kind :: of the question, or nil; protocols :: see Certainty
      # Gives an Array of Row.
      def self.table(pools, kind:, protocols: 0)
        rows = pools.map { |pool| Row.new(pool:, certainty: Certainty.of(pool, kind:, protocols:)) }
        rows.sort_by.with_index { |row, place| [ORDER.index(row.outcome.matters), place] }
      end
    end
  end
end
