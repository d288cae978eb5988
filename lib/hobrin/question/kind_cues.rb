# frozen_string_literal: true

module Hobrin
  class Question
    # Which kind of question a sentence sounds like, and by which of its words. Common practice, no
    # source.
    module KindCues
      # kind :: a Kind; cue :: the words of the sentence that say so
      class Guess < Value
        attributes :kind, :cue
      end

      # In the order they are tried: the rarer kind first, since its words are surer.
      CUES = {
        "cost" => /\b(?:costs?|cost-?\s?effective(?:ness)?|worth the money|saves? money|economic(?:al)?|budget|cheaper|good value)\b/,
        "experience" => /\b(?:experience|experiences|feel about|views of|perceptions?|what is it like|think (?:about|of)|attitudes?|beliefs?|perceive|cope with|live with|meaning of|why do)\b/,
        "prediction" => /\b(?:predicts?|prediction rule|predictive|risk score|prognostic score)\b/,
        "diagnosis" => /\b(?:how accurate|accurately|accuracy|sensitivity|specificity|detect|detecting|diagnos\w+|identify|identifying|screen for|screening for|confirming|rule out)\b/,
        "prognosis" => /\b(?:what is the (?:risk|chance|likelihood|prognosis|incidence)|how likely|how long does|how common|what happens to|what proportion|prognosis|chances? of|recover)\b/,
        "harm" => /\b(?:cause|causes|lead to|leads to|(?:increase|raise)s? the risk|higher risk|greater risk|more likely to (?:get|have|develop)|associated with|linked (?:to|with)|harms?|harmful|safe|side effects?)\b/,
        "treatment" => /\b(?:improves?|reduces?|prevents?|preventing|lowers?|relieves?|eases?|speeds? up|helps?|increases?|promot\w+|effects? of|effective|better than|as good as|to reduce|heals?|shortens?|best way to|is best|works? best|instead of|to stop)\b/
      }.freeze
      private_constant :CUES

      # text :: the sentence. Gives a Guess, nil when nothing gives it away.
      def self.call(text)
        CUES.each do |key, pattern|
          match = pattern.match(text.downcase)
          return Guess.new(kind: Kind.fetch(key), cue: match[0]) if match
        end
        nil
      end
    end
  end
end
