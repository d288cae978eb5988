# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # What is proposed for each domain, worked out from the pool.
      class Proposals
        # pool, kind, protocols :: as Certainty.of takes them
        def initialize(pool, kind:, protocols:)
          @pool = pool
          @kind = kind
          @protocols = protocols
        end

        # Gives a Hash of domain to [steps, why], in the order of DOMAINS.
        def call
          { bias: Bias.of(@pool, @kind), inconsistency: Inconsistency.of(@pool), indirectness: Indirectness.of(@pool),
            imprecision: Imprecision.of(@pool), unpublished: Unpublished.of(@pool, @protocols), large: large,
            gradient: [0, "Hobrin cannot tell: say so if more of it had more effect."],
            against: [0, "Hobrin cannot tell: say so if differences left out would make the effect weaker."] }
        end

        private

        # A ratio beyond 2 or 5 either way, whose interval does not reach 1.
        def large
          pooled = @pool.pooled
          return [0, "No ratio is pooled."] unless pooled && @pool.measure.ratio?

          size = Math.exp(pooled.estimate.abs)
          nearest = Math.exp([pooled.low.abs, pooled.high.abs].min)
          crossed = pooled.low.negative? != pooled.high.negative?
          said = "The #{@pool.measure.name} is #{Said.number(Math.exp(pooled.estimate))}"
          return [0, "#{said}, its interval reaches 1."] if crossed

          steps = size >= 5 && nearest >= 2 ? 2 : (size >= 2 ? 1 : 0)
          [steps,
           "#{said}: " \
           "#{steps.zero? ? "between 0.5 and 2" : "beyond #{steps == 2 ? "0.2 or 5" : "0.5 or 2"}"}."]
        end
      end
    end
  end
end
