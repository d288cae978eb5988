# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # How often a test at the bedside is right.
      class Accuracy < Maker
        private

        def abstract
          people = @random.rand(60..420)
          ill = (people * @random.rand(0.15..0.5)).round
          found = (ill * @random.rand(0.72..0.98)).round
          cleared = ((people - ill) * @random.rand(0.65..0.97)).round
          parts(background: "Nurses need a quick answer about #{o}.", methods: phrase("methods", @design),
                results: "Of #{people} people #{ill} had the condition by the reference standard. " \
                         "Sensitivity was #{share(found, ill)}, specificity #{share(cleared, people - ill)}.",
                conclusion: phrase(found.fdiv(ill) > 0.9 ? "accurate" : "not_accurate"))
        end
      end
    end
  end
end
