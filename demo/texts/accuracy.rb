# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # How often a test at the bedside is right.
      class Accuracy < Maker
        private

        def title
          filled(pick(["Accuracy of %<i>s for %<o>s in %<p>s", "How well does %<i>s tell %<o>s? A diagnostic accuracy study in %<p>s", "%<I>s to detect %<o>s: sensitivity and specificity in %<p>s"]))
        end

        def abstract
          people = @random.rand(60..420)
          ill = (people * @random.rand(0.15..0.5)).round
          well = people - ill
          found, cleared = (ill * @random.rand(0.72..0.98)).round, (well * @random.rand(0.65..0.97)).round
          parts(background: filled("Nurses need a quick answer about %<o>s."),
                methods: filled("%<I>s was compared with the reference standard, read by another person, in %<p>s in %<place>s."),
                results: "Of #{people} people #{ill} had the condition by the reference standard. Sensitivity was #{share(found, ill)}, specificity #{share(cleared, well)}.",
                conclusion: filled(found.fdiv(ill) > 0.9 ? "%<I>s misses few with %<o>s." : "%<I>s alone does not rule out %<o>s."))
        end
      end
    end
  end
end
