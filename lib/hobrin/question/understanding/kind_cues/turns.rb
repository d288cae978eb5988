# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      module KindCues
        # Turns of phrase of every kind, from how people ask in a hurry.
        module Turns
          ALL = {
            test_asked: Cue.new(/\b(?:
              (?:what|which|best|quick|right|any)\s(?:\w+\s)?(?:tests?|scans?|signs?|swabs?|
              screens?|questionnaires?|examinations?)|(?:test|testing|scan|swab|screen|screening|
              check|checked|checking|signs?|probe|film|x-?ray|ultrasound|dip|dipstick|culture|
              cultures|strips?|charts?|meter|reading)\s(?:for|of|on)|suspect(?:ed|ing)?|
              to\ssay\s(?:it|its|it's|whether|if)|yield\sof|missed|go(?:es)?\sunnoticed|
              how\s(?:sure|certain)|same\sas|agree\swith|enough\sto
            )\b/x, "diagnosis", 1.0),
            ahead: Cue.new(/\b(?:
              lies\sahead|ahead\sof\s(?:him|her|them|us)|by\swhen|how\s(?:bad|soon|fast|quickly|
              far)|live\slonger|die\s(?:earlier|sooner)|becomes?\sof|what\s(?:will|
              can)\s(?:happen|(?:he|she|they|we|i)\sexpect)|(?:does|do|will|would|can|could|
              might)\s(?:it|they|he|she|these|most|many|some|this|that)\s(?:\w+\s)?(?:last|come|
              go|return|heal|close|stay|manage|recover|get|walk|wake|live|survive|recur|settle|
              clear|fade|improve|need)|by\sthe\stime|(?:weeks?|months?|years?|days?)\s(?:on|later|
              out|down\sthe\sline)|per\syear|each\syear|survival\s(?:after|to|at|in)|slower\sto|
              harder\sfor|still\s(?:\w+\s){0,3}(?:at|after|in|by|months?|years?)
            )\b/x, "prognosis", 0.8),
            by_when: Cue.new(/\b(?:
              in|within|after|by|at|over|for|inside)\s(?:the\s)?(?:first\s|next\s|last\s|a\s|an\s|
              \w+\s)?(?:\d+\s?)?(?:hours?|days?|weeks?|months?|years?|yrs?|age|winter|summer|
              discharge
            )\b/x, nil, 0),
            given_by: Cue.new(/\b(?:
              giv(?:e|es|ing)\s(?:you|them|her|him|people|us|me|rise|off)|start(?:s|
              ed)?\s(?:\w+\s)?off|behind\s(?:the|her|his|all|this)|be\swhy|(?:is|was|be)\sit\sthe|
              after\sstarting|since\s(?:starting|she|he|they|we)|went\s(?:\w+\s)?(?:deaf|blind|
              yellow|off)|any\s(?:risk|danger|harm|link)|is\sthere\sa\slink|linked|how\s(?:safe|
              dangerous|risky)|too\s(?:much|long|fast|many|hot|tight)|snap|rupture|wreck|ruin|
              upset|interact\w*|clash|get\s(?:\w+\s){0,2}(?:rash|cataracts|cancer|clots?|
              burn(?:ed|t|s)?|infections?|hurt|ill|worse|sick|sores?|marks?)
            )\b/x, "harm", 1.0),
            price: Cue.new(/\b(?:
              business\scase|savings|justify|half\sthe\sprice|save\sby|get\sit\sback|
              pay\sits\sway|dollars|pounds|spend|for\sthe\ssame\smoney|per\s(?:patient|head|bed|
              case|visit)
            )\b/x, "cost", 1.5),
            told_which: Cue.new(/\b(?:
              tell(?:s|ing)?\s(?:us\s|me\s|you\s|early\s)?(?:which|who)|beforehand|foretell\w*|
              forecast\w*|guess\w*|predict\w*|who\swill|who'll|which\s(?:\w+\s){1,4}(?:will|won't|
              are\sgoing)
            )\b/x, "prediction", 1.5),
            lives: Cue.new(/\b(?:
              bearable|unbearable|come\sforward|coming\sforward|give\sup|gave\sup|being\stold|
              being\s(?:\w+\s)?(?:looked\safter|washed|fed|asked|restrained|moved|nursed)|
              what\swould\sthey|what\skeeps|keeps?\sthem\sgoing|first\s(?:death|night|week|
              winter)|carry\sit|stay\swith\sthem|trust\s(?:their|the|us)|mind\s(?:having|being|
              when|if)|how\sconfident|how\sdo\syou
            )\b/x, "experience", 1.2)
          }.freeze
        end
      end
    end
  end
end
