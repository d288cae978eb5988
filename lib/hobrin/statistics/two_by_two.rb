# frozen_string_literal: true

module Hobrin
  module Statistics
    # The four numbers of a trial with two groups and an outcome that happens or does not:
    # how many had it and how many there were, with the intervention and without.
    #
    # Raises InputError naming the field when a number is not whole, is negative, or when more had
    # the outcome than there were.
    class TwoByTwo < Value
      attributes :events, :total, :comparison_events, :comparison_total

      LARGEST = 100_000_000

      def initialize(events:, total:, comparison_events:, comparison_total:)
        @events = events
        @total = total
        @comparison_events = comparison_events
        @comparison_total = comparison_total
        errors = number_errors.merge(pair_errors)
        raise InputError, errors unless errors.empty?

        freeze
      end

      # With and without the outcome, with the intervention and then without it.
      def cells = [events, total - events, comparison_events, comparison_total - comparison_events]

      def risk = events.fdiv(total)
      def comparison_risk = comparison_events.fdiv(comparison_total)

      private

      def number_errors
        to_h.reject { |_, number| number.is_a?(Integer) && number.between?(0, LARGEST) }
            .transform_values { Book.t("statistics.errors.whole_number") }
      end

      def pair_errors
        { events: [events, total], comparison_events: [comparison_events, comparison_total] }
          .filter_map { |field, (part, whole)| pair_error(field, part, whole) }.to_h
      end

      def pair_error(field, part, whole)
        return unless part.is_a?(Integer) && whole.is_a?(Integer)
        return [field == :events ? :total : :comparison_total, Book.t("statistics.errors.empty_group")] if whole.zero?

        [field, Book.t("statistics.errors.more_than_group", part:, whole:)] if part > whole
      end

      # The risk ratio with its 95 % interval on the log scale (Katz et al., Biometrics 1978;34:469):
      #
      #   RR = (a/n1) / (c/n2),  SE(ln RR) = √(1/a − 1/n1 + 1/c − 1/n2)
      #
      # Where any cell of the table is empty (nobody in a group had the outcome, or everybody had), ½
      # is added to every cell, as R's metafor does by default. Where neither group had it, or
      # everybody had it in both, no ratio can be told: nil.
      module RiskRatio
        # table :: a TwoByTwo. Gives an Interval, or nil.
        def self.call(table, z: Distributions::Normal::Z95)
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

      # The difference of two risks (intervention minus comparison) with the 95 % interval built from
      # the two Wilson intervals: method 10 of Newcombe, Stat Med 1998;17:873. It stays inside −1..1
      # and holds at small numbers, where the simple interval does not.
      #
      #   low  = d − √((p1 − l1)² + (u2 − p2)²),  high = d + √((u1 − p1)² + (p2 − l2)²)
      module RiskDifference
        # table :: a TwoByTwo. Gives an Interval of proportions, −1..1.
        def self.call(table, z: Distributions::Normal::Z95)
          one = Proportions::Wilson.call(table.events, table.total, z:)
          two = Proportions::Wilson.call(table.comparison_events, table.comparison_total, z:)
          difference = one.estimate - two.estimate
          Interval.new(estimate: difference,
                       low: difference - Math.hypot(one.estimate - one.low, two.high - two.estimate),
                       high: difference + Math.hypot(one.high - one.estimate, two.estimate - two.low))
        end
      end

      # How many people must have the intervention for one more to be spared (or given) the outcome:
      # 1 / |risk difference|, its interval the reciprocals of the difference's ends. Where the
      # difference may be nothing, the interval runs from one side through infinity to the other and
      # is told as two halves: Altman, BMJ 1998;317:1309.
      #
      # estimate :: Float > 0, or infinity when there is no difference
      # fewer    :: true when the outcome is rarer with the intervention, nil when there is no difference
      # low, high :: the ends on the estimate's side; high is infinite when no difference is possible;
      #   of no difference, the side of one more with the outcome
      # other    :: the nearest number on the other side, or nil when the interval does not reach it
      class NumberNeededToTreat < Value
        attributes :estimate, :fewer, :low, :high, :other

        # difference :: the Interval of RiskDifference
        def self.from(difference)
          fewer = difference.estimate.negative?
          ends = [difference.low, difference.high].map { |bound| fewer ? -bound : bound }.sort
          new(estimate: reciprocal(difference.estimate.abs), fewer: difference.estimate.zero? ? nil : fewer,
              low: reciprocal(ends.last), high: ends.first.positive? ? reciprocal(ends.first) : Float::INFINITY,
              other: ends.first.negative? ? reciprocal(-ends.first) : nil)
        end

        def self.reciprocal(number) = number.zero? ? Float::INFINITY : 1 / number
        private_class_method :reciprocal

        # Whether "no difference" lies within the interval.
        def crosses_nothing? = !other.nil?
      end
    end
  end
end
