# frozen_string_literal: true

module Hobrin
  class Brief
    # Effects and the numbers behind them, in words.
    class MeasuredWords
      include Text::Numerals

      # measure :: Appraisal::Outcome::Measure
      def initialize(measure)
        @measure = measure
      end

      # A value of the scale of pooling.
      def value(value)
        told = @measure.told(value)
        return ratio_in_words(told) if @measure.ratio?

        @measure.of_hundred? ? decimal(told, told.abs < 10 ? 1 : 0) : decimal(told)
      end

      def range(low, high) = "#{value(low)} to #{value(high)}"

      # "0.64 (0.43 to 0.95)"
      def interval(estimate, low, high) = "#{value(estimate)} (#{range(low, high)})"
      def of(pooled) = interval(pooled.estimate, pooled.low, pooled.high)

      # A p-value.
      def p(value) = value < 0.001 ? "below 0.001" : decimal(value, value < 0.1 ? 3 : 2)

      # The effect of one result with its interval; nil where it tells nothing. way ::
      #   Outcome::Way
      def result(reported, way)
        one = reported.effect(@measure) or return
        reach = way.z * one.error
        "#{@measure.name} " \
          "#{interval(one.effect, one.effect - reach, one.effect + reach)}#{unit}"
      end

      # The unit that stands behind a number, or nothing.
      def unit = @measure.of_hundred? ? " of 100" : ""

      # What the groups of a result have: [with, without], either may be nil.
      def groups(reported)
        case (numbers = reported.values)
        when Statistics::TwoByTwo
          ["#{numbers.events} of #{numbers.total}",
           "#{numbers.comparison_events} of #{numbers.comparison_total}"]
        when Array then of_array(reported.form, numbers)
        when Hash then [
          numbers[:people] && count_of(numbers[:people], "person").sub("persons", "people"), nil
        ]
        else ["", ""]
        end
      end

      private

      def of_array(form, numbers)
        case form
        when "events_over_time" then numbers.each_slice(2).map do |events, time|
          "#{number(events)} in #{number(time.round)}"
        end
        when "one_group" then ["#{numbers.first} of #{numbers.last}", nil]
        else numbers.map do |number|
               "#{decimal(number.mean)} (#{decimal(number.deviation)}), #{number.size}"
             end
        end
      end
    end
  end
end
