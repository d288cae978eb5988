# frozen_string_literal: true

module Hobrin
  module Screening
    # Likelihoods brought to what really happens: a line through the log odds, fitted to decisions
    # that the model had not learned from (Platt 1999, with his smoothed targets, fitted by Newton's
    # steps; from memory). Without it the likelihoods of unread papers are far too high, since a
    # person who reads the likeliest first has decided on more keepers than are left.
    class Calibration
      FOLDS = 3
      # The weight of a decision is halved with each so many-eth part of all decisions that came
      # after it.
      HALVED = 8.0
      STEPS = 30
      # Log odds beyond this tell no more.
      FURTHEST = 20.0
      # How firmly the slope is held at one while few decisions say otherwise.
      STIFF = 1.0
      # What keeps a step finite where all likelihoods are alike.
      FLAT = 1e-6
      private_constant :FOLDS, :HALVED, :STEPS, :FURTHEST, :STIFF, :FLAT

      # examples :: as for Keeping, the latest last. Each third of them is judged by what was
      #   learned from the others. What was read last counts most, since what is unread is like it.
      def self.of(examples)
        half = [examples.size / HALVED, 1.0].max
        new((0...FOLDS).flat_map do |fold|
          left, taken = examples.each_with_index.partition { |_, place| place % FOLDS == fold }
          judged(taken.map(&:first), left) { |place| 0.5**((examples.size - 1 - place) / half) }
        end)
      end

      # taken :: examples to learn from; left :: those to judge, each with its place; the block
      #   gives how much that place counts. Gives an Array of [log odds, kept or not, weight].
      def self.judged(taken, left)
        kept = taken.count(&:last)
        return [] if kept.zero? || kept == taken.size

        keeping = Prediction.new(taken)
        left.map { |(traits, keep), place| [odds(keeping.call(traits)), keep, yield(place)] }
      end
      private_class_method :judged

      # Log odds of a likelihood.
      def self.odds(likely)
        return FURTHEST if likely >= 1
        return -FURTHEST if likely <= 0

        Math.log(likely / (1 - likely)).clamp(-FURTHEST, FURTHEST)
      end

      attr_reader :slope, :base

      # judged :: Array of [log odds, kept or not, weight]
      def initialize(judged)
        @slope, @base = fitted(judged)
      end

      # likely :: 0 to 1. Gives 0 to 1.
      def call(likely) = 1 / (1 + Math.exp(-((@slope * self.class.odds(likely)) + @base)))

      private

      # Never the other way round: a model that is no better than chance tells nothing.
      def fitted(judged)
        slope, base = 1.0, 0.0
        return [slope, base] if judged.empty?

        rows = judged.zip(targets(judged)).map { |(odds, _, weight), target| [odds, target, weight] }
        STEPS.times do
          by_slope, by_base = step(rows, slope, base)
          slope -= by_slope
          base -= by_base
          break if by_slope.abs + by_base.abs < 1e-9
        end
        slope.finite? && base.finite? ? [slope.clamp(0.0, FURTHEST), base.clamp(-FURTHEST, FURTHEST)] : [1.0, 0.0]
      end

      def targets(judged)
        kept = judged.count { |_, keep, _| keep }
        high, low = (kept + 1.0) / (kept + 2), 1.0 / (judged.size - kept + 2)
        judged.map { |_, keep, _| keep ? high : low }
      end

      # What Newton's step takes off slope and base.
      def step(rows, slope, base)
        of_slope, slopes = [(slope - 1) * STIFF, STIFF]
        of_base, crossed, bases = [0.0, 0.0, FLAT]
        weighed(rows, slope, base) do |odds, gap, weight|
          of_slope += gap * odds
          of_base += gap
          slopes += weight * odds * odds
          crossed += weight * odds
          bases += weight
        end
        size = (slopes * bases) - (crossed * crossed)
        [((bases * of_slope) - (crossed * of_base)) / size,
         ((slopes * of_base) - (crossed * of_slope)) / size]
      end

      # Yields the log odds of each row, how far it is from its target, and its weight.
      def weighed(rows, slope, base)
        rows.each do |odds, target, counts|
          likely = 1 / (1 + Math.exp(-((slope * odds) + base)))
          yield odds, counts * (likely - target), [counts * likely * (1 - likely), FLAT].max
        end
      end
    end
  end
end
