# frozen_string_literal: true

module Hobrin
  module Statistics
    # The variance between studies.
    #
    # DerSimonian and Laird 1986 (:dl); Paule and Mandel 1982 (:pm); restricted maximum likelihood
    # (:reml), see RestrictedLikelihood. All from memory.
    class Tau2
      METHODS = { dl: "DerSimonian–Laird", pm: "Paule–Mandel",
                  reml: "restricted maximum likelihood" }.freeze

      # results :: Array of Result; method :: key of METHODS
      def initialize(results, method)
        @results = results
        @method = METHODS.key?(method) ? method : raise(ArgumentError, "no method #{method}")
      end

      # τ² of all of them, Float from 0.
      def call = of(@results)

      # Array of τ², each of the studies up to its place.
      def up_to_each
        return RestrictedLikelihood.new(@results).up_to_each if @method == :reml

        (1..@results.size).map { |size| of(@results.first(size)) }
      end

      # Array of τ², each of the studies but the one of its place.
      def without_each
        return RestrictedLikelihood.new(@results).without_each if @method == :reml

        @results.each_index.map do |place|
          of(@results.reject.with_index { |_, other| other == place })
        end
      end

      private

      def of(results)
        return 0.0 if results.size < 2

        case @method
        when :dl then dersimonian_laird(results)
        when :pm then paule_mandel(results)
        when :reml then RestrictedLikelihood.new(results).highest
        end
      end

      def dersimonian_laird(results)
        heterogeneity = Heterogeneity.new(results)
        weights = results.map(&:weight)
        scale = weights.sum - (weights.sum { |weight| weight**2 } / weights.sum)
        [(heterogeneity.q - heterogeneity.df) / scale, 0.0].max
      end

      # Where the generalized Q is what chance makes it.
      def paule_mandel(results)
        heterogeneity = Heterogeneity.new(results)
        df = heterogeneity.df
        return 0.0 if heterogeneity.q <= df

        most = [heterogeneity.typical, 1e-8].max
        most *= 4 while heterogeneity.q(most) > df
        Root.between(0.0, most) { |tau2| heterogeneity.q(tau2) - df }
      end
    end
  end
end
