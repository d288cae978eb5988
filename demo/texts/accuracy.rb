# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # How often a test at the bedside is right, with all four cells.
      class Accuracy < Maker
        # A test misses few when even the low end of its sensitivity is not below this.
        SENSITIVE = 0.85
        private_constant :SENSITIVE

        private

        def abstract
          people = @random.rand(60..620)
          ill = (people * @random.rand(0.15..0.5)).round
          found = (ill * @random.rand(0.72..0.99)).round
          cleared = ((people - ill) * @random.rand(0.65..0.97)).round
          parts(background: "Nurses need a quick answer about #{o}.",
                methods: phrase("methods", @design), results: results(people, ill, found, cleared),
                conclusion: phrase(conclusion(found, ill)))
        end

        def results(people, ill, found, cleared)
          "Of #{people} people #{ill} had the condition by the reference standard: #{found} true " \
            "and #{people - ill - cleared} false positives, #{ill - found} false and #{cleared} " \
            "true negatives. Sensitivity was #{share(found, ill)}, specificity " \
            "#{share(cleared, people - ill)}."
        end

        def conclusion(found, ill)
          sensitivity = Statistics::Proportions::Wilson.call(found, ill)
          return "accurate" if sensitivity.low >= SENSITIVE

          sensitivity.high < SENSITIVE ? "not_accurate" : "perhaps_accurate"
        end
      end
    end
  end
end
