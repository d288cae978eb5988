# frozen_string_literal: true

module Hobrin
  module Statistics
    # Between which limits values in time lie by chance: the middle and three standard deviations
    # about it, of a share (p), of events over time (u), or of single values (XmR). The limits are
    # worked out from the values before a change.
    #
    # p̄ ± 3 √(p̄ (1 − p̄) / n), ū ± 3 √(ū / n), mean ± 2.66 × mean moving range; where shares
    # differ from week to week by more than chance, Laney's p′ (Qual Eng 2002;14:531; all from
    # memory).
    module ControlChart
      # middle :: Float; limits :: Array of [low, high], one for each value; outside :: Array of the
      #   places of values that lie outside; kind :: :p, :laney, :u or :xmr
      class Chart < Value
        attributes :middle, :limits, :outside, :kind
      end

      THREE = 3.0
      MOVING = 2.66
      # The mean moving range of a standard normal variable.
      RANGE = 1.128
      # So much more than chance, and Laney's limits are taken.
      SPREAD = 1.3
      # Fewer values before the change tell too little (common practice: twelve).
      FEWEST = 12
      private_constant :THREE, :MOVING, :RANGE, :SPREAD

      class << self
        # pairs :: Array of [events, people]; before :: how many of them come before the change. Gives a
        # Chart.
        def shares(pairs, before: pairs.size)
          middle = ratio(pairs.first(before))
          errors = pairs.map { |_, people| Math.sqrt(middle * (1 - middle) / people) }
          spread = laney(pairs.first(before), middle, errors)
          kind, times = spread > SPREAD ? [:laney, spread] : [:p, 1.0]
          about(middle, errors.map { |error| error * times }, pairs.map do |one, two|
            one.fdiv(two)
          end, kind, most: 1.0)
        end

        # pairs :: Array of [events, time]
        def rates(pairs, before: pairs.size)
          middle = ratio(pairs.first(before))
          errors = pairs.map { |_, time| Math.sqrt(middle / time) }
          about(middle, errors, pairs.map { |one, two| one.fdiv(two) }, :u)
        end

        # values :: Array of Float
        def singles(values, before: values.size)
          first = values.first(before)
          middle = first.sum / first.size.to_f
          ranges = first.each_cons(2).map { |one, two| (two - one).abs }
          reach = MOVING * (ranges.empty? ? 0.0 : ranges.sum / ranges.size.to_f)
          about(middle, Array.new(values.size, reach / THREE), values, :xmr, least: nil)
        end

        private

        def ratio(pairs) = pairs.sum(&:first).fdiv(pairs.sum(&:last))

        # How many times what chance makes them the shares differ from week to week.
        def laney(pairs, middle, errors)
          return 1.0 if pairs.size < 2 || errors.first(pairs.size).any?(&:zero?)

          scores = pairs.zip(errors).map do |(events, people), error|
            (events.fdiv(people) - middle) / error
          end
          ranges = scores.each_cons(2).map { |one, two| (two - one).abs }
          ranges.sum / ranges.size / RANGE
        end

        def about(middle, errors, values, kind, least: 0.0, most: nil)
          limits = errors.map do |error|
            low, high = [middle - (THREE * error), middle + (THREE * error)]
            [least ? [low, least].max : low, most ? [high, most].min : high]
          end
          outside = values.each_index.reject { |place| values[place].between?(*limits[place]) }
          Chart.new(middle:, limits:, outside:, kind:)
        end
      end
    end
  end
end
