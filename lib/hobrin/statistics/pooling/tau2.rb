# frozen_string_literal: true

module Hobrin
  module Statistics
    module Pooling
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
          Deadline.check
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
          Distributions::Root.between(0.0, most) { |tau2| heterogeneity.q(tau2) - df }
        end

        # The variance between studies at which the restricted likelihood is highest (Viechtbauer,
        # J Educ Behav Stat 2005;30:261; from memory), for all studies, for those up to each, and for
        # all but each.
        #
        # The likelihood of few studies can have several maxima, one of them at 0. So its slope is
        # looked at over the whole range in which a maximum can lie, each maximum is found between the
        # two places where the slope changes from rising to falling, and the highest is taken.
        class RestrictedLikelihood
          # The places at which the slope is looked at lie this many times further from the smallest
          # variance below 0, one after the other.
          STEP = 10**(1 / 12.0)
          private_constant :STEP

          # results :: Array of Result
          def initialize(results)
            middle = Statistics.median(results.map(&:effect))
            @studies = results.map { |result| [result.effect - middle, result.variance] }
          end

          # τ² from 0.
          def highest = highest_of(@studies, grid.map { |tau2| slope(sums(@studies, tau2)) })

          # Array of τ², each of the studies up to its place.
          def up_to_each
            running = grid.map { |tau2| running_sums(@studies, tau2) }
            (1..@studies.size).map do |size|
              highest_of(@studies.first(size), running.map { |row| slope(row[size]) })
            end
          end

          # Array of τ², each of the studies but the one of its place.
          def without_each
            before, after = [@studies, @studies.reverse].map do |some|
              grid.map { |tau2| running_sums(some, tau2) }
            end
            @studies.each_index.map do |place|
              others = @studies.reject.with_index { |_, other| other == place }
              slopes = before.zip(after).map do |head, tail|
                slope(head[place].zip(tail[others.size - place]).map(&:sum))
              end
              highest_of(others, slopes)
            end
          end

          private

          # Beyond the square of the range of the effects, and beyond every variance within studies,
          # the slope is negative.
          def grid
            @grid ||= begin
              least, most = @studies.map(&:last).minmax
              low, high = @studies.map(&:first).minmax
              top = [most, (high - low)**2].max
              steps = (Math.log((top / least) + 1) / Math.log(STEP)).ceil
              Array.new(steps + 1) { |step| least * ((STEP**step) - 1) }
            end
          end

          def highest_of(studies, slopes)
            Deadline.check
            return 0.0 if studies.size < 2

            maxima = grid.zip(slopes).each_cons(2).filter_map do |(low, rising), (high, falling)|
              maximum(studies, low, high) if rising.positive? && !falling.positive?
            end
            maxima << 0.0 unless slopes.first.positive?
            maxima.max_by { |tau2| likelihood(studies, tau2) }
          end

          def maximum(studies, low, high)
            Distributions::Root.between(low, high) { |tau2| slope(sums(studies, tau2)) }
          end

          # The sums of the weights and their squares; of these times the effects; of the squares times
          # the squared effects. In one pass over plain numbers, since it is asked for very often.
          def sums(studies, tau2)
            a1 = a2 = b1 = b2 = c2 = 0.0
            studies.each do |effect, variance|
              a1 += (weight = 1 / (variance + tau2))
              a2 += (square = weight * weight)
              b1 += weight * effect
              b2 += (square *= effect)
              c2 += square * effect
            end
            [a1, a2, b1, b2, c2]
          end

          # The sums of none, of the first, of the first two, and so on.
          def running_sums(studies, tau2)
            studies.reduce([[0.0] * 5]) do |rows, study|
              rows << rows.last.zip(sums([study], tau2)).map(&:sum)
            end
          end

          # By how much twice the likelihood rises with τ²: Σ w² (y − μ)² − Σ w + Σ w² / Σ w.
          def slope(sums)
            a1, a2, b1, b2, c2 = sums
            mean = b1 / a1
            c2 - (2 * mean * b2) + (mean * mean * a2) - a1 + (a2 / a1)
          end

          # Twice the logarithm, but for what is the same for every τ².
          def likelihood(studies, tau2)
            weights = studies.map { |_, variance| 1 / (variance + tau2) }
            sum = weights.sum
            mean = studies.zip(weights).sum { |(effect, _), weight| weight * effect } / sum
            rest = studies.zip(weights).sum { |(effect, _), weight| weight * ((effect - mean)**2) }
            weights.sum { |weight| Math.log(weight) } - Math.log(sum) - rest
          end
        end
      end
    end
  end
end
