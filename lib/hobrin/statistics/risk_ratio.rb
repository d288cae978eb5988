# frozen_string_literal: true

module Hobrin
  module Statistics
    # The risk ratio with its 95 % interval on the log scale (Katz et al., Biometrics 1978;34:469):
    #
    #   RR = (a/n1) / (c/n2),  SE(ln RR) = √(1/a − 1/n1 + 1/c − 1/n2)
    #
    # Where any cell of the table is empty (nobody in a group had the outcome, or everybody had), ½
    # is added to every cell, as R's metafor does by default. Where neither group had it, or
    # everybody had it in both, no ratio can be told: nil.
    module RiskRatio
      # table :: a TwoByTwo. Gives an Interval, or nil.
      def self.call(table, z: Normal::Z95)
        a, n1, c, n2 = table.to_h.values
        return if (a + c).zero? || (a == n1 && c == n2)

        a, n1, c, n2 = a + 0.5, n1 + 1, c + 0.5, n2 + 1 if corrected?(table)
        ratio = (a.to_f / n1) / (c.to_f / n2)
        error = Math.sqrt(1.0 / a - 1.0 / n1 + 1.0 / c - 1.0 / n2)
        Interval.new(estimate: ratio, low: ratio * Math.exp(-z * error),
                     high: ratio * Math.exp(z * error))
      end

      # Whether ½ had to be added to each cell.
      def self.corrected?(table) = table.cells.any?(&:zero?)
    end
  end
end
