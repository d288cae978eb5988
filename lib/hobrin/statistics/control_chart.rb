# frozen_string_literal: true

module Hobrin
  module Statistics
    # Between which limits values in time lie by chance, worked out from the values before a change:
    # of a share (p) the counts that the binomial distribution leaves 0.135 of 100 beyond on each
    # side, as three standard deviations do of a normal one; of events over time (u) ū ± 3 √(ū / n);
    # of single values (XmR) mean ± 2.66 × mean moving range. Where shares differ from week to week
    # by more than chance, Laney's p′, p̄ ± 3 σz √(p̄ (1 − p̄) / n) (Qual Eng 2002;14:531; all from
    # memory). Values that do not vary at all have no limits.
    module ControlChart
      # middle :: Float; limits :: Array of [low, high], one for each value; outside :: Array of the
      #   places of values that lie outside; kind :: :p, :laney, :u or :xmr
      class Chart < Value
        attributes :middle, :limits, :outside, :kind
      end

      THREE = 3.0
      # What lies beyond three standard deviations, on one side.
      BEYOND = 0.00135
      MOVING = 2.66
      # The mean moving range of a standard normal variable.
      RANGE = 1.128
      # So much more than chance, and Laney's limits are taken.
      SPREAD = 1.3
      # Fewer values before the change tell too little (common practice: twelve).
      FEWEST = 12
      private_constant :THREE, :BEYOND, :MOVING, :RANGE, :SPREAD

      class << self
        # pairs :: Array of [events, people]; before :: how many of them come before the change. Gives
        # a Chart; nil where nobody, or everybody, had it before.
        def shares(pairs, before: pairs.size)
          middle = ratio(pairs.first(before))
          return unless middle.positive? && middle < 1

          errors = pairs.map { |_, people| Math.sqrt(middle * (1 - middle) / people) }
          spread = laney(pairs.first(before), middle, errors)
          values = pairs.map { |events, people| events.fdiv(people) }
          return about(middle, errors.map { |error| error * spread }, values, :laney, most: 1.0) if spread > SPREAD

          limits = pairs.map(&:last).uniq.to_h { |people| [people, exact(people, middle)] }
          within(middle, limits.values_at(*pairs.map(&:last)), values, :p)
        end

        # pairs :: Array of [events, time]; nil where there were no events before
        def rates(pairs, before: pairs.size)
          middle = ratio(pairs.first(before))
          return unless middle.positive?

          errors = pairs.map { |_, time| Math.sqrt(middle / time) }
          about(middle, errors, pairs.map { |one, two| one.fdiv(two) }, :u)
        end

        # values :: Array of Float; nil where they are all alike before
        def singles(values, before: values.size)
          first = values.first(before)
          ranges = first.each_cons(2).map { |one, two| (two - one).abs }
          return unless ranges.any?(&:positive?)

          reach = MOVING * ranges.sum / ranges.size.to_f
          about(first.sum / first.size.to_f, Array.new(values.size, reach / THREE), values, :xmr, least: nil)
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
          within(middle, limits, values, kind)
        end

        def within(middle, limits, values, kind)
          outside = values.each_index.reject { |place| values[place].between?(*limits[place]) }
          Chart.new(middle:, limits:, outside:, kind:)
        end

        # [low, high] of the share of so many people.
        def exact(people, middle)
          [BEYOND, 1 - BEYOND].map { |share| Proportions::Binomial.count(share, people, middle).fdiv(people) }
        end
      end
    end
  end
end
