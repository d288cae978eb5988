# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      module KindCues
        # Tests and rules: diagnosis, prediction.
        module Tests
          ALL = {
            test: Cue.new(/\b(?:
              tests?|testing|tested|scans?|scanner|scanning|ultrasound|x-?rays?|ct|mri|echo|ecg|
              ekg|swabs?|dipsticks?|cultures?|crp|procalcitonin|troponins?|d-?dimers?|lactate|bnp|
              pcr|smears?|thermometers?|oximet\w+|spirometry|stethoscope|examination|screen(?:er|
              ing|s)?|questions?|questionnaires?|checklists?|tools?|signs?|meters?|probe|monitor|
              biopsy|urinalysis|capnography|ph|paper|strips?|film|finger\s?prick|reading|readings|
              measure(?:s|d|ment)?|palpation|auscultation|bloods?|samples?
            )\b/x, "diagnosis", 0.6),
            accurate: Cue.new(/\b(?:
              accura\w+|reliab\w+|sensitiv\w+|specificity|valid|validity|trust\w*|agree(?:s|
              ment)?\swith|false\s(?:positives?|negatives?|alarms?|reassurance)|falsely|miss(?:es|
              ed|ing)?\s(?:a|an|any|many|the|it|them|some|one)?|likelihood\sratios?|
              predictive\svalue|gold\sstandard|reference\sstandard|stand-in|as\sgood\sas|
              as\swell\sas|cut-?off|threshold|diagnos\w+|rule[sd]?\s(?:it\s|them\s)?(?:out|in)|
              ruling\s(?:out|in)|exclud\w+|confirm\w*|detect\w*|identif\w+|spot(?:s|ting)?|
              pick(?:s|ing|ed)?(?:\s\w+)?\sup|catch(?:es|ing)?|find(?:s|ing)?|tell(?:s|
              ing)?\s(?:\w+\s){0,5}(?:from|apart|if|whether|that)|telling|distinguish\w*|
              suspect(?:ed)?|show(?:s|ing)?\s(?:up)?|reveal|enough\sto\s(?:diagnose|say|rule)
            )\b/x, "diagnosis", 0.6),
            diag_sure: Cue.new(/\b(?:
              how\s(?:accurate|reliable|sensitive|specific|good|well|often|trustworthy)\s(?:is|
              are|does|do|can|at)|any\sgood\s(?:at|for)\s(?:telling|spotting|picking|finding|
              showing|detecting|ruling)|accura\w+|sensitivity|specificity|rule[sd]?\sout|
              diagnos\w+|false\s(?:positives?|negatives?)
            )\b/x, "diagnosis", 1.5),
            predict: Cue.new(/\b(?:
              predict\w*|foretell\w*|forecast\w*|foresee\w*|forewarn\w*|warn\w*|risk\s(?:scores?|
              tools?|scales?|models?|calculators?|forms?|assessments?)|scores?|scoring|
              calculators?|models?|machine\slearning|algorithms?|early\swarning|validated|
              seen\scoming|see\scoming|guess(?:ing)?|tell\s(?:us\s|me\s|you\s|who|which|early|
              in\sadvance)|which\s(?:of\s(?:my\s|our\s|the\s)?)?(?:\w+\s){1,6}?(?:will|
              are\sgoing\sto|can|end\sup|might)|who(?:'ll|\swill|'s\sgoing\sto|\sis\sgoing\sto|
              \smight|se?)|flag(?:s|ged|ging)?|ahead|pick\sout|sort\sout|at\srisk|stratif\w+|
              criteria|rule|index|scale
            )\b/x, "prediction", 0.6),
            who_will: Cue.new(/\b(?:
              who(?:'ll|\swill|'s\sgoing\sto|s\sgoing\sto|\sis\sgoing\sto|\sis\slikely|\scan\sgo|
              \swon't|\sneeds?|\sis\s(?:most\s)?likely)|which\s(?:of\s(?:my\s|our\s|
              the\s)?)?(?:\w+\s){1,6}?(?:will|'ll|are\sgoing\sto|can\s(?:go|come|be)|end\sup|
              might|won't|need)
            )\b/x, "prediction", 1.2),
            predict_sure: Cue.new(/\b(?:
              predict\w*|foretell\w*|forecast\w*|foresee\w*|risk\s(?:scores?|tools?|scales?|
              models?|calculators?)|early\swarning|machine\slearning|news2?|apgar
            )\b/x, "prediction", 1.5)
          }.freeze
        end
      end
    end
  end
end
