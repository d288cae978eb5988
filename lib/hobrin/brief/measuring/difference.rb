# frozen_string_literal: true

module Hobrin
  class Brief
    # How much a measure differs since a change, with its 95 % interval. It takes the points as
    # independent of each other, so the runs say more where one week follows from the last.
    #
    # Shares: people of all points together, by the method of Newcombe (Statistics::RiskDifference).
    # Rates: events as Poisson counts, with the normal interval of their difference. Values: the means
    # of the points, by Welch's t interval. The last two are common practice.
    class Difference
      # measure :: Measure
      def initialize(measure)
        @before, @after = [measure.points.first(measure.before), measure.points.drop(measure.before)]
        @way = measure.way
      end

      # Gives a Statistics::Interval, since minus before: of shares, of rates, or of values; nil where a
      # side is missing, or has a single value.
      def call
        return if @before.empty? || @after.empty?

        case @way
        when :share then share
        when :rate then rate
        else value
        end
      end

      private

      def share
        events, total, comparison_events, comparison_total = sums(@after) + sums(@before)
        return if events > total || comparison_events > comparison_total

        table = Statistics::TwoByTwo.new(events:, total:, comparison_events:, comparison_total:)
        Statistics::RiskDifference.call(table)
      end

      def rate
        rates = [@after, @before].map { |points| sums(points) }
        since, earlier = rates.map { |events, time| events.fdiv(time) }
        error = Math.sqrt(rates.sum { |events, time| events.fdiv(time**2) })
        interval(since - earlier, Statistics::Normal::Z95 * error)
      end

      def value
        return if @before.size < 2 || @after.size < 2

        sides = [@after, @before].map { |points| points.map(&:value) }
        means = sides.map { |values| values.sum / values.size }
        parts = sides.zip(means).map { |values, mean| values.sum { |value| (value - mean)**2 } / (values.size - 1) / values.size }
        error = Math.sqrt(parts.sum)
        return interval(means.reduce(:-), 0.0) if error.zero?

        freedom = (parts.sum**2) / parts.zip(sides).sum { |part, values| (part**2) / (values.size - 1) }
        interval(means.reduce(:-), Statistics::Student.quantile(0.975, freedom) * error)
      end

      def sums(points) = [points.sum(&:events), points.sum(&:of)]
      def interval(estimate, half) = Statistics::Interval.new(estimate:, low: estimate - half, high: estimate + half)
    end
  end
end
