# frozen_string_literal: true

module Hobrin
  module Statistics
    # Whether small studies show something else than large ones: Egger's regression of the effect
    # on its standard error, weighted by 1 / variance (Egger et al., BMJ 1997;315:629, in the form
    # of a weighted regression with a dispersion of its own).
    module Egger
      # Fewer studies tell nothing (common practice: ten).
      FEWEST = 10

      # results :: Array of Result. Gives a WeightedRegression::Line, whose limit is the effect
      # where the error is 0; nil where there is no variation to test.
      def self.call(results)
        WeightedRegression.call(results.map(&:error), results.map(&:effect), results.map(&:weight))
      end
    end
  end
end
