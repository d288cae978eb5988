# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What a 2×2 table says: risk ratio, risk difference, number needed to treat, with 95 %
    # intervals. ratio is nil where none can be told, see Statistics::RiskRatio.
    class Effect < Value
      attributes :table, :ratio, :difference, :needed

      def self.of(table)
        difference = Statistics::RiskDifference.call(table)
        new(table:, ratio: Statistics::RiskRatio.call(table), difference:,
            needed: Statistics::NumberNeededToTreat.from(difference))
      end
    end
  end
end
