# frozen_string_literal: true

module Hobrin
  module Statistics
    # The pooled effect without each study in turn. With a variance between studies that is
    # estimated anew each time, in one pass over the others: its first step is made from the sums
    # over all, less the study.
    class WithoutEach
      # estimate, error, tau2 :: of the others
      class One < Value
        attributes :estimate, :error, :tau2

        def low(z = Normal::Z95) = estimate - (z * error)
        def high(z = Normal::Z95) = estimate + (z * error)
      end

      # A change of τ² this small, against τ² and the errors, is made by slopes.
      SMALL = 1e-4
      NOTHING = 1e-6
      STEPS = 20
      private_constant :SMALL, :NOTHING, :STEPS

      # results :: Array of Result, two or more; tau2 :: as InverseVariance takes it
      def initialize(results, tau2: nil)
        @results = results
        @method = tau2
        @middle = results.sum(&:effect) / results.size
        @effects = results.map { |one| one.effect - @middle }
        @variances = results.map(&:variance)
      end

      # Array of One, each without the study of its place.
      def call
        case @method
        when nil then fixed
        when :reml then restricted
        else @results.each_index.map { |place| plainly(place) }
        end
      end

      private

      def fixed
        all = Sums.of(@effects, @variances, 0.0)
        each_place { |effect, variance| of(all.without(effect, 1 / variance), 0.0, 0.0) }
      end

      def restricted
        tau2, converged = Tau2.new(@results, :reml).call
        return @results.each_index.map { |place| plainly(place) } unless converged && @results.size > 3

        all = Sums.of(@effects, @variances, tau2)
        near = Heterogeneity.new(@results).typical
        each_place do |effect, variance, place|
          begun = all.without(effect, 1 / (variance + tau2))
          settle(place, tau2, begun, near) || plainly(place)
        end
      end

      # Goes on from a first step until the next one is so small that slopes do, with the curvature
      # of the first; nil where steps are so wide that they may lead to another summit.
      def settle(place, tau2, begun, near)
        change, curvature, from = [begun.step, begun.curvature, tau2]
        STEPS.times do
          return if change.abs > tau2 / 2 && !(tau2.zero? && change.negative?)

          tau2 = [tau2 + change, 0.0].max
          sums = Sums.but(@effects, @variances, tau2, place)
          change = [sums.slope / curvature, -tau2].max
          return of(sums, tau2, change) if settled?(change, tau2 - from, tau2 + near)
        end
        nil
      end

      # The further it went, the less the first curvature holds, and the smaller the last step must
      # be.
      def settled?(change, gone, size)
        change.abs <= SMALL * size && (change * gone).abs <= NOTHING * size * size
      end

      def of(sums, tau2, change)
        One.new(estimate: @middle + sums.mean_after(change), error: 1 / Math.sqrt(sums.weight_after(change)),
                tau2: tau2 + change)
      end

      def plainly(place)
        others = @results.reject.with_index { |_, other| other == place }
        pooled = InverseVariance.call(others, tau2: @method)
        One.new(estimate: pooled.estimate, error: pooled.error, tau2: pooled.tau2)
      end

      def each_place
        @effects.each_index.map { |place| yield(@effects[place], @variances[place], place) }
      end
    end
  end
end
