# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Whether the numbers of a text fit together, as far as it gives enough of them: each is worked
    # out anew within what rounding allows.
    module Numbers
      CHECKS = [Shares, Groups, Ratios, Means, PValues, Cells, Costs].freeze
      private_constant :CHECKS

      # passage :: Passage. Gives an Array of Disagreement in the order of the text.
      def self.call(passage)
        found = CHECKS.flat_map { |check| check.new(passage).call }
        found.uniq.sort_by { |one| [one.from, one.kind] }
      end
    end
  end
end
