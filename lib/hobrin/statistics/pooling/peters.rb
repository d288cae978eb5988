# frozen_string_literal: true

module Hobrin
  module Statistics
    # Whether small studies show something else than large ones, for ratios of events: Peters'
    # regression of the effect on 1 / people, weighted by 1 / (1/events + 1/non-events) over both
    # groups (Peters et al., JAMA 2006;295:676; from memory). The standard error of such a ratio
    # goes with the ratio itself, by which Egger's test finds what is not there.
    module Peters
      # results :: Array of Result with counts. Gives a WeightedRegression::Line, whose limit is
      # the effect in endlessly many people; nil where there is no variation to test.
      def self.call(results)
        people = results.map { |result| result.counts.sum.to_f }
        weights = results.map { |result| weight(*result.counts) }
        WeightedRegression.call(people.map { |count| 1 / count }, results.map(&:effect), weights)
      end

      def self.weight(a, b, c, d) = 1 / ((1.0 / (a + c)) + (1.0 / (b + d)))
      private_class_method :weight
    end
  end
end
