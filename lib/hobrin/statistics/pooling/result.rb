# frozen_string_literal: true

module Hobrin
  module Statistics
    # One study's effect as it goes into pooling: on the scale on which it is nearly normal.
    #
    # effect :: Float; variance :: Float above 0; counts :: Array of the numbers that the methods by
    #   Mantel and Haenszel, and by Peto, start from (a, b, c, d: with and without the outcome, first
    #   in the group with the intervention), or nil
    class Result < Value
      attributes :effect, :variance, :counts

      def initialize(effect:, variance:, counts: nil)
        raise ArgumentError, "an effect is a number, its variance above 0" unless effect.finite? && variance.finite? && variance.positive?

        super
      end

      def error = Math.sqrt(variance)
      def weight = 1 / variance
    end
  end
end
