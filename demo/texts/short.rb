# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Protocols, opinions, cases and guidelines: texts without results of a study.
      class Short < Maker
        TITLES = {
          protocol: ["%<I>s to change %<o>s in %<p>s: protocol for a randomized trial", "%<I>s for %<p>s: protocol of a cohort study of %<o>s"],
          narrative: ["%<I>s, %<o>s and %<p>s: what is known", "%<O>s in %<p>s: a review for nurses", "A short history of %<i>s"],
          editorial: ["Time to think again about %<i>s for %<p>s", "%<O>s is everybody's work"],
          letter: ["%<I>s and %<o>s: a question to the authors", "More on %<i>s"],
          case_report: ["%<O>s and %<i>s: a case among %<p>s", "An unexpected end of %<i>s: two cases"],
          guideline: ["%<O>s in %<p>s: a guideline for nurses", "%<I>s: a guideline for %<p>s"]
        }.freeze
        TEXTS = {
          protocol: ["We plan to randomize %<n>d of %<p>s to %<i>s or usual care. The main outcome is %<o>s after %<d>d days. No results are reported."],
          narrative: ["We tell what has been written on %<i>s and %<o>s in %<p>s. No search method is reported.", "This overview for nurses on %<p>s explains %<o>s and where %<i>s may have a place."],
          editorial: ["We argue that %<i>s for %<p>s deserves another look, since %<o>s is what people fear."],
          letter: ["We read with interest on %<i>s and ask how %<o>s was counted."],
          case_report: ["We report on %<n>d days with one person among %<p>s in %<place>s, in whom %<o>s followed %<i>s, and say what we would do next."],
          guideline: ["A panel of nurses, physicians and former patients graded %<d>d recommendations on %<i>s and %<o>s for %<p>s after a systematic search."]
        }.freeze
        private_constant :TITLES, :TEXTS

        private

        def title = filled(pick(TITLES.fetch(@design)))

        def abstract
          format(pick(TEXTS.fetch(@design)), **@words, place:, n: @random.rand(6..40) * 10, d: @random.rand(4..30))
        end
      end
    end
  end
end
