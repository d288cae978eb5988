# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      module KindCues
        # What will become of it, and what did it: prognosis, harm.
        module Courses
          ALL = {
            course: Cue.new(/\b(?:
              prognosis|outlook|chances?|odds|likelihood|how\slikely|how\s(?:long|soon|many|often|
              common|much\sof)|what\s(?:share|proportion|percentage|percent|number|fraction|
              happens|becomes|are\sthe\schances|are\sthe\sodds|is\sthe\s(?:risk|chance|outlook|
              likelihood|prognosis|usual|course|natural))|share\sof|percentage|proportion|
              natural\s(?:history|course)|life\sexpectancy|surviv\w+|recover\w*|by\sitself|
              on\s(?:its|their)\sown|ever|come\sback|comes\sback|return(?:s|ed)?|recur\w*|
              relaps\w*|still|eventually|years?\son|months?\son|later|will\s(?:he|she|it|they)|
              expect\w*|usually|normally|outcome\sfor|left\sto\slive|last\b|months\sleft|wake\sup|
              catch\sup|grow\sout|go\son\sto|end\sup|get\sback\sto|back\sto|how\s(?:do|does|
              is)\s\w+\s(?:do|fare)|bad\ssign|good\ssign|sign\sof
            )\b/x, "prognosis", 0.4),
            course_sure: Cue.new(/\b(?:
              prognosis|outlook|how\s(?:long|soon)\s(?:do|does|until|before|after|will|is|might|
              can|until)|what\s(?:share|proportion|percentage|fraction|happens|becomes)|
              chances?\sof|odds\sof|how\slikely|how\smany|life\sexpectancy|natural\s(?:history|
              course)|risk\sof\s(?:dying|death|relapse|recurrence)
            )\b/x, "prognosis", 1.5),
            blame: Cue.new(/\b(?:
              caus(?:e|es|ed|ing)|bring(?:s|ing)?\s(?:\w+\s)?on|brought\s(?:\w+\s)?on|set(?:s|
              ting)?\s(?:\w+\s)?off|trigger(?:s|ed|ing)?|lead(?:s|ing)?\sto|led\sto|to\sblame|
              blam\w+|culprit|fault|link(?:s|ed)?(?:\sto|\swith)?|associated\swith|association|
              risk\sfactors?|side[-\s]effects?|adverse|harm(?:s|ful|ed|ing)?|safe|safer|safety|
              unsafe|danger(?:s|ous)?|damag\w+|hurt(?:s|ing)?|injur\w+|toxic\w*|poison\w*|
              downsides?|reports?\sof|rais(?:e|es|ing|ed)\sthe\s(?:risk|chance|odds|rate)|
              increas\w+\sthe\s(?:risk|chance|odds|rate)|higher\s(?:risk|rates?|chance|odds)|
              greater\srisk|more\s(?:likely|prone|apt)|likelier|mak(?:e|es|
              ing)\s(?:\w+\s){1,6}(?:worse|more|ill|sick)|worse(?:n\w*)?|put(?:s|
              ting)?\s(?:\w+\s){1,5}(?:at\srisk|off|up|on)|push(?:es|ing)?\s(?:\w+\s){1,4}up|
              result\sof|due\sto|because\sof|down\sto|from\s(?:the|their|being|using|taking|
              having)|responsible|contribut\w+|exposure|exposed|was\sit|is\sit\sthe|could\sit\sbe|
              did\sthe|gone|went|problem\swith|bad\sfor|do\sany\sharm|ok\sto|okay\sto|risk
            )\b/x, "harm", 0.5),
            blame_sure: Cue.new(/\b(?:
              caus(?:e|es|ed|ing)|bring(?:s|ing)?\s(?:\w+\s)?on|set(?:s|ting)?\s(?:\w+\s)?off|
              trigger(?:s|ed|ing)?|to\sblame|culprit|side[-\s]effects?|harm(?:s|ful)?|safe|
              danger(?:s|ous)?|damag\w+|downsides?|(?:rais|increas)\w+\sthe\s(?:risk|chance|odds)|
              linked\s(?:to|with)|associated\swith|higher\srisk|is\sthere\sa\slink|risk\sfactor
            )\b/x, "harm", 1.5)
          }.freeze
        end
      end
    end
  end
end
