# frozen_string_literal: true

module Hobrin
  module Screening
    # Learns from what a person kept and dropped how likely each other paper is to be kept: logistic
    # regression with a penalty on the squares of its weights.
    #
    # It minimizes Σ log(1 + exp(−y (w·x + b))) + PENALTY/2 · Σ w², with y 1 for a paper that was
    # kept and −1 for one that was dropped, by Nesterov's accelerated steps (Nesterov 1983, from
    # memory).
    class Prediction
      PENALTY = 0.05
      STEPS = 15
      # Of more decisions the keeps and the latest drops are learned from: time for one paper is
      # what a person notices.
      MOST = 160
      private_constant :STEPS, :MOST

      # examples :: Array of [traits, kept or not], the latest last; traits :: Hash of trait to
      #   weight
      def initialize(examples)
        @names = {}
        @rows = chosen(examples).map do |traits, kept|
          [ids(traits), traits.values, kept ? 1.0 : -1.0]
        end
        @weights, @bias = fitted
        @learned = @names.transform_values { |place| @weights[place] }
      end

      # traits :: Hash. Gives how likely the paper is to be kept, 0 to 1.
      def call(traits) = 1 / (1 + Math.exp(-score(traits)))

      # The traits of a paper that speak most for keeping it and against: Array of [trait, share of
      # the score], the strongest first, whichever side.
      def reasons(traits)
        traits.filter_map { |trait, weight| (place = @names[trait]) && [trait, weight * @weights[place]] }
              .sort_by { |trait, share| [-share.abs, trait.to_s] }
      end

      # What is minimized, and its slope for each weight and for the bias; for tests of the slope.
      def loss(weights = @weights, bias = @bias)
        sum = @rows.sum do |ids, values, sign|
          Math.log(1 + Math.exp(-sign * (dot(weights, ids, values) + bias)))
        end
        sum + (PENALTY / 2 * weights.sum { |weight| weight * weight })
      end

      def slope(weights = @weights, bias = @bias)
        slope = weights.map { |weight| PENALTY * weight }
        of_bias = 0.0
        @rows.each do |ids, values, sign|
          pull = -sign / (1 + Math.exp(sign * (dot(weights, ids, values) + bias)))
          of_bias += pull
          ids.zip(values) { |id, value| slope[id] += pull * value }
        end
        [slope, of_bias]
      end

      attr_reader :weights, :bias

      private

      def chosen(examples)
        return examples if examples.size <= MOST

        kept, dropped = examples.partition(&:last)
        kept = kept.last(MOST / 2)
        kept + dropped.last(MOST - kept.size)
      end

      def ids(traits) = traits.each_key.map { |trait| @names[trait] ||= @names.size }

      def score(traits)
        sum = @bias
        traits.each do |trait, weight|
          learned = @learned[trait]
          sum += weight * learned if learned
        end
        sum
      end

      def dot(weights, ids, values)
        sum = 0.0
        place = 0
        size = ids.size
        # Plain loops: most of the time goes here.
        while place < size
          sum += weights[ids[place]] * values[place]
          place += 1
        end
        sum
      end

      # Rows have length one, and the bias counts as one more trait, so that the slope changes by no
      # more than half a row's worth for each row.
      def fitted
        step = 1 / ((0.5 * @rows.size) + PENALTY)
        weights = ahead = Array.new(@names.size, 0.0)
        bias = bias_ahead = 0.0
        STEPS.times do |turn|
          Deadline.check
          slope, of_bias = slope(ahead, bias_ahead)
          momentum = turn.fdiv(turn + 3)
          before, bias_before = weights, bias
          weights = ahead.each_with_index.map { |weight, place| weight - (step * slope[place]) }
          bias = bias_ahead - (step * of_bias)
          ahead = weights.each_with_index.map do |weight, place|
            weight + (momentum * (weight - before[place]))
          end
          bias_ahead = bias + (momentum * (bias - bias_before))
        end
        [weights, bias]
      end
    end
  end
end
