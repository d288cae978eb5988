# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      module KindCues
        # What is done and to what end: treatment, and words of harm.
        module Deeds
          ALL = {
            help: Cue.new(/\b(?:
              help(?:s|ed|ing)?|improv\w+|reduc\w+|prevent\w*|lower(?:s|ing)?|cut(?:s|ting)?|
              reliev\w+|ease[sd]?|easing|speed\w*|quicker|faster|sooner|heal(?:s|ing|ed)?|
              stop(?:s|ping)?|work(?:s|ing)?|works?\s(?:better|best|for)|better\sthan|better|best|
              effective\w*|benefit\w*|any\s(?:use|good|point|evidence)|worth\s(?:it|trying|doing|
              a\stry|using)|evidence\s(?:for|that)|instead|rather\sthan|versus|vs|or\sjust|fewer|
              less|shorten\w*|calm\w*|settle\w*|keep(?:s|ing)?|spare|make\s(?:any|a)\sdifference|
              what\s(?:works|can|should|else|helps)|should\s(?:we|i|they|you|women|men|patients|
              people|nurses)|try(?:ing)?|treat\w*|manag\w+|get\s(?:them|people|him|her)|
              more\scomfortable|clear(?:s|ing)?|boost\w*|protect\w*|reduce|control\w*|bring(?:s|
              ing)?\sdown|off\sthe|needed|do\swe\s(?:still\s)?need
            )\b/x, "treatment", 0.7),
            lower: Cue.new(/\b(?:
              reduc\w+|prevent\w*|lower(?:s|ing)?|cut(?:s|ting)?(?:\sdown)?|reliev\w+|ease[sd]?|
              stop(?:s|ping)?|fewer|less|lessen\w*|shorten\w*|calm\w*|settle\w*|avoid\w*|
              protect\w*|bring(?:s|ing)?\sdown|keep(?:s|ing)?\s(?:\w+\s){0,4}(?:off|out|from|away|
              clear|down)|spare|halve|drop|decrease\w*|control\w*|treat\w*|clear(?:s|ing)?|
              hold\soff|ward\soff|head\soff|damp\w*|soothe\w*|curb
            )\b/x, "treatment", 0.5),
            raise: Cue.new(/\b(?:
              rais\w+|increas\w+|more|higher|likelier|worse\w*|bigger|extra|push\w*|up\sthe|
              make(?:s)?|cause[sd]?|causing|bring(?:s)?\son|set(?:s)?\soff|trigger\w*|
              lead(?:s)?\sto|give(?:s)?|put(?:s)?
            )\b/x, nil, 0),
            well: Cue.new(/\b(?:
              heal\w*|recover\w*|sleep\w*|comfort\w*|appetite|gain|growth|walk\w*|mobil\w+|
              strength|confidence|attendance|uptake|adherence|satisfaction|bonding|breastfeed\w*|
              wellbeing|mood|eat\w*|drink\w*|independen\w+|quality\sof\slife|weight|hand\shygiene|
              stay|home|remember\w*|turn\sup|take\s(?:them|it|their)|quit\w*|speech|balance|
              function
            )\b/x, "treatment", 0.3),
            bad: Cue.new(/\b(?:
              deaths?|dead|die[sd]?|dying|mortality|harm|injur\w+|rash\w*|bleed\w*|haemorrhage|
              fits?|seizures?|strokes?|heart\sattacks?|clots?|thrombos\w+|infections?|sepsis|
              falls?|fractures?|broken|cancers?|jaundiced?|deaf\w*|blind\w*|hypos?|
              low\s(?:blood|sodium|sugar|potassium|magnesium)|high\s(?:blood|potassium|sodium)|
              kidney|liver|confus\w+|delirium|dementia|depress\w+|self[-\s]harm|overdose\w*|
              suicid\w+|burns?|ulcers?|sores?|skin|damage|nausea|vomit\w*|diarrhoea|constipat\w+|
              weight\sgain|loss|malform\w*|defects?|miscarr\w+|stillb\w+|preterm|wheez\w*|asthma|
              addict\w*|dependen\w+|withdraw\w*|toxicity|failure|arrest|pain|psychosis|flashbacks|
              back\spain|burnout|sick\sleave|drows\w+|dizz\w+
            )\b/x, nil, 0)
          }.freeze
        end
      end
    end
  end
end
