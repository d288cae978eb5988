# frozen_string_literal: true

module Hobrin
  module Statistics
    # The variance between studies.
    #
    # DerSimonian and Laird 1986 (:dl); Paule and Mandel 1982 (:pm); restricted maximum likelihood
    # (:reml) by Newton's steps, see Sums (Viechtbauer 2005; all from memory). An
    # iterative method that does not come to an end within STEPS falls back on DerSimonian–Laird,
    # and says so.
    class Tau2
      METHODS = { dl: "DerSimonian–Laird", pm: "Paule–Mandel",
                  reml: "restricted maximum likelihood" }.freeze
      STEPS = 200
      CLOSE = 1e-12
      private_constant :STEPS, :CLOSE

      # results :: Array of Result; method :: key of METHODS; near :: a τ² above 0 from which the
      #   steps of :reml begin, nil or 0 for Hedges' moments
      def initialize(results, method, near: nil)
        @results = results
        @near = near
        @method = METHODS.key?(method) ? method : raise(ArgumentError, "no method #{method}")
        @heterogeneity = Heterogeneity.new(results)
      end

      # Gives [τ² from 0, whether the method converged].
      def call
        return [0.0, true] if @results.size < 2

        case @method
        when :dl then [dersimonian_laird, true]
        when :pm then [paule_mandel, true]
        when :reml then restricted
        end
      end

      private

      def dersimonian_laird
        weights = @results.map(&:weight)
        scale = weights.sum - (weights.sum { |weight| weight**2 } / weights.sum)
        [(@heterogeneity.q - @heterogeneity.df) / scale, 0.0].max
      end

      # Where the generalized Q is what chance makes it.
      def paule_mandel
        df = @heterogeneity.df
        return 0.0 if @heterogeneity.q <= df

        most = [@heterogeneity.typical, 1e-8].max
        most *= 4 while @heterogeneity.q(most) > df
        Root.between(0.0, most) { |tau2| @heterogeneity.q(tau2) - df }
      end

      def restricted
        tau2 = @near&.positive? ? @near : start
        middle = @results.sum(&:effect) / @results.size
        effects, variances = [@results.map { |one| one.effect - middle }, @results.map(&:variance)]
        STEPS.times do
          change = Sums.of(effects, variances, tau2).step
          change /= 2 while (tau2 + change).negative? && change.abs > CLOSE * @heterogeneity.typical
          change = [change, -tau2].max
          tau2 += change
          return [tau2, true] if change.abs <= CLOSE * (tau2 + @heterogeneity.typical)
        end
        [dersimonian_laird, false]
      end

      # Hedges' moments, which metafor begins from.
      def start
        mean = @results.sum(&:effect) / @results.size
        spread = @results.sum { |one| (one.effect - mean)**2 } / (@results.size - 1)
        [spread - (@results.sum(&:variance) / @results.size), 0.0].max
      end
    end
  end
end
