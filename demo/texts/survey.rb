# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Many people asked the same at one time.
      class Survey < Maker
        private

        def title
          filled(pick(["%<I>s and %<o>s: a survey of practice with %<p>s", "Who uses %<i>s for %<p>s? A cross-sectional survey", "Knowledge of %<i>s and %<o>s: a questionnaire study in %<place>s"]))
        end

        def abstract
          asked = @random.rand(80..900)
          answered = (asked * @random.rand(0.35..0.85)).round
          parts(background: filled("How often %<i>s is used is not known."),
                methods: filled("Cross-sectional survey about %<p>s in %<place>s."),
                results: "#{share(answered, asked)} answered. #{share((answered * @random.rand(0.1..0.9)).round, answered)} used #{i} in most weeks; #{o} was the reason named most.",
                conclusion: pick(["Practice differs between units.", "Knowledge and practice do not go together.", "Teaching alone may not be enough."]))
        end
      end
    end
  end
end
