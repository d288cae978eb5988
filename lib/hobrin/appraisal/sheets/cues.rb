# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Sheets
      # Words by which an abstract tells the answer to a question. Common practice, no source; they
      # only point at a sentence, the person answers.
      module Cues
        CHANCE = /\brandom\w*|\bcomputer|\benvelopes?|\btelephone|\bdates?\b|\bchance\b|\ballocat\w+|\bassigned/i
        ALIKE = /\bmatch\w+|\badjust\w+|\bbaseline|\balike|\bsimilar|\bless ill|\bseverity/i
        UNAWARE = /\bunaware|\bblind\w*|\bmask(?:ed|ing)\b|did not know|not know\w*|\bassess\w+|read by another/i
        LOST = /\bfollow\w*|\bcompleted?|\blost|\bwithdr\w+|\bdropped|\banswered|took part|\btook the devices off/i
        COUNTED = /\banaly[sz]\w+|\bassigned|\b\d+ of \d+|intention/i
        PEOPLE = /\badults?|\bpatients?|\bpeople|\bchildren|\binfants?|\bparents?|\bresidents?|\bparticipants?|\bwomen|\bmen\b/i
        TEST = /\bcompared\b|\breference|\bstandard|\btest\b|\bscan\w*/i
        MEASURED = /\bmeasured|\bassess\w+|\brated|\bscale|\brecord\w*|\bscreen\w*|\bdiagnos\w+|\belectrodes/i
        SEARCH = /\bsearch\w*|\bdatabases?|\bregist\w+/i
        JUDGED = /\bbias|\bquality|\bjudged|\bcertainty|\bgraded|\breviewers/i
        AGREE = /\bpool\w*|\btogether|\bheterogen\w+|\bdiffer\w*|\bof (?:six|five|four|eight|nine) |\btrials\b/i
        TOLD = /\bregist\w+|\bprotocol|\bpublished|\bmain outcome|\bplanned|\breported/i
        METHOD = /\binterviews?|\bfocus groups?|\bconversations|\bthemes?|\banaly[sz]\w+|\bthematic/i
        TIME = /\bmonths?|\byears?|\bdays|\bweeks?|\bbefore\b|\bafter\b|\badmission|\bdischarge/i
        COST = /\bcosts?|\bprice|\bsaved|\bhorizon|\bmodel/i
        PANEL = /\bpanel|\bpatients|\bfamilies|\bconditional|\bsuggest\w*|\brecommend\w*/i
        RULE = /\bscore|\bpredict\w*|\bmodel|\bvalidat\w+|\bcalibrat\w+|\brule\b/i
      end
    end
  end
end
