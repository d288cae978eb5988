# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      module KindCues
        # What a thing is worth and what it is like: cost, experience.
        module Worth
          ALL = {
            money: Cue.new(/\b(?:
              costs?|costing|costed|cost[-\s]?effective\w*|prices?|pric(?:ey|ed|ier)|money|
              pounds?|dollars?|euros?|budgets?|bill|bills|purse|cheap(?:er|est|ly)?|dear(?:er)?|
              expensive|pays?\sfor\s(?:itself|themselves)|pay(?:ing|s)?\s(?:off|back)|pay|sav(?:e|
              es|ing|ings)|afford(?:able)?|economic(?:s|al|ally)?|economy|spend(?:ing|s)?|spent|
              outlay|outlays|qalys?|quality-adjusted|financ\w+|fund(?:s|ed|ing)?|invest\w*|
              return\son|break\seven|expenditure|resource\suse|tariff
            )\b|[£$€]/x, "cost", 1.0),
            money_sure: Cue.new(/\b(?:
              cost[-\s]?effective\w*|value\sfor\smoney|good\svalue|better\svalue|worth\s(?:the|
              its|what|paying|their)\s?(?:money|cost|outlay|price|extra|spend\w*|weight)?|
              budget\simpact|pays?\sfor\s(?:itself|themselves)|cost(?:s)?\s(?:of|less|more|per|
              and|a|an|the|each|us)|how\smuch\s(?:do|does|would|will|is|are|money)|save\s(?:us\s|
              any\s|the\s\w+\s)?money|cheaper|dearer|money\s(?:well\s)?spent|economic\w*|qalys?|
              quality-adjusted|health\seconomics
            )\b/x, "cost", 2.5),
            tell: Cue.new(/\b(?:
              experiences?\sof|experiences|experienced|feelings?|feel\sabout|feels?\s(?:like|
              about)|felt|views?|perceptions?|perceive[ds]?|attitudes?|beliefs?|opinions?|
              think\s(?:of|about)|thoughts|meanings?|mean\sto|stories|story|words|voices?|
              describ\w+|cop(?:e|es|ing)\swith|liv(?:e|es|ing)\swith|lived|what\sis\sit\slike|
              what's\sit\slike|whats\sit\slike|like\sfor|like\sto\sbe|make\ssense|go\sthrough|
              goes\sthrough|going\sthrough|barriers?|bearable|matters?\s(?:most\s)?to|
              perspectives?|understood|understand|remember|worries|fears?|hopes?|needs\sof|
              reasons?|put\s(?:them|people|her|him)\soff|talk\sabout|say\sabout|say\s(?:it|they)|
              from\sthe\spoint\sof\sview|in\stheir\sown|dignity|shame|stigma|lonel\w+|reluctan\w+|
              acceptab\w+|willing\w*|experience
            )\b/x, "experience", 0.5),
            how_people: Cue.new(/(?:
              \bhow\s(?:do|does|did|have|are|is|can|would)\s(?:\w+[-\s]){0,6}?(?:experience|feel|
              felt|see|cope|find|view|perceive|describe|live|manage|get\sby|talk|carry|
              make\ssense|understand|understood|react|respond|adjust|come\sto|decide|think|deal|
              face|handle)\b
            )/x, nil, 0),
            what_like: Cue.new(/(?:
              \bwhat\s(?:is|'s|are|was)\s(?:it\s)?(?:really\s)?like\b|\bwhats\sit\slike\b|
              \bwhat\s(?:do|does|did|makes?|stops?|keeps?|helps?|gets?|puts?)\s\w+
            )/x, nil, 0),
            tell_sure: Cue.new(/\b(?:
              what\s(?:is|was|'s)\sit\s(?:\w+\s)?like|what's\sit\slike|whats\sit\slike|
              it\sis\slike|is\sit\slike|experiences?\sof|experiences|experienced\sby|stories|
              views\s(?:of|on|about)|feel(?:s|ings?)?\s(?:about|like|towards?)|felt\sby|
              perceptions?\sof|perceive|attitudes?|stigma|in\s(?:their|patients'|people's|her|
              his)\sown\swords|lived|meanings?|barriers\s(?:to|for)|mind\s(?:having|being|doing)|
              go(?:es)?\sthrough|going\sthrough|make\ssense|put\s(?:into\swords|it\sinto\swords)|
              understood\sby|cope\swith|get\sby|mean(?:s)?\sto|matters?\sto|how\s(?:do|does|did|
              have)\s(?:[\w'-]+\s){1,8}(?:feel|experience|describe|cope|see|view|perceive|find|
              understand|live)
            )\b/x, "experience", 2.0),
            why: Cue.new(/(?:
              \bwhy\s(?:do|does|did|are|is|won't|don't|so|would|some|many)\b
            )/x, nil, 0)
          }.freeze
        end
      end
    end
  end
end
