# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Whether a work is what its label says: how it was made, as its own methods tell.
    class MadeAs
      # design :: key of the Appraisal::Design that the text tells, nil when it tells none; sentence
      #   :: the Passage::Sentence that tells, or nil; cue :: [from, to] of the telling words, as in
      #   the Passage; verdict :: :agree, :disagree or :untold
      class Answer < Value
        attributes :design, :sentence, :cue, :verdict
      end

      # A label may stand for work that its text tells otherwise, and is none the worse: an economic
      # evaluation beside a trial; a cohort whose people also filled in a questionnaire; a pooled
      # review that tells nothing but its search. Key of the label to keys that agree with it too.
      ALSO = {
        "cost" => %w[randomized_trial controlled_trial cohort before_after],
        "guideline" => %w[systematic_review], "inception_cohort" => %w[cohort],
        "cohort" => %w[inception_cohort cross_sectional before_after case_control],
        "before_after" => %w[cohort cross_sectional], "cross_sectional" => %w[cohort],
        "diagnostic" => %w[cohort cross_sectional], "controlled_trial" => %w[before_after cohort],
        "case_control" => %w[cohort], "opinion" => %w[case_series], "case_series" => %w[cohort],
        "qualitative" => %w[cross_sectional]
      }.freeze
      # What a label of this kind says is of whom, not how.
      NO_LABEL = "mechanism"
      private_constant :ALSO, :NO_LABEL

      # passage :: Passage; label :: key of the design that the labels say, or nil
      def initialize(passage, label)
        @passage = passage
        @label = label unless label == NO_LABEL
      end

      # Gives an Answer. Where the text tells several designs and the label is among them, they
      # agree.
      def call
        told = cues
        return untold if told.empty?

        above = told.find { |design, *| Cues::OUTRANK.include?(design) }
        return answer(*above, :disagree) if above && @label && !agrees?(above.first)

        mine = told.find { |design, *| agrees?(design) }
        first = mine || told.first
        verdict = if mine || @label.nil? then mine ? :agree : :untold
                  else :disagree
                  end
        answer(*first, verdict)
      end

      private

      def untold = Answer.new(design: nil, sentence: nil, cue: nil, verdict: :untold)

      def answer(design, sentence, match, verdict)
        from = sentence.from + match.begin(0)
        Answer.new(design:, sentence:, cue: [from, from + match[0].size], verdict:)
      end

      def agrees?(design) = design == @label || ALSO.fetch(@label, []).include?(design)

      # [design, sentence, match] for each design that is told: first those in the methods.
      def cues
        sentences = @passage.of(:methods)
        sentences = @passage.sentences if sentences.empty?
        Cues::ALL.filter_map do |design, patterns|
          found = nil
          sentences.find do |sentence|
            patterns.find { |pattern| found = sentence.text.match(pattern) } && (found = [design, sentence, found])
          end
          found
        end
      end

      # Words by which a text tells how a work was made. Primary research tells how people were found
      # and put into groups; secondary, where studies were searched for (common practice, no source;
      # the words are ours).
      module Cues
        PEOPLE = "(?:patients|adults|people|persons|children|infants|women|men|residents|nurses|participants|parents)"
        private_constant :PEOPLE

        # Key of an Appraisal::Design to what tells it. What tells most stands first.
        ALL = {
          "mechanism" => [
            %r{\b(?:\d+|[a-z]+teen|[a-z]+ty|ten|twelve|male|female|adult|anaesthetised|anesthetized|newborn) (?:male |female |adult |Wistar |Sprague-?\s?Dawley |C57BL/6 |New Zealand |white |domestic )*(?:rats|mice|rabbits|pigs|piglets|sheep|lambs|dogs|guinea pigs|hamsters)\b}i,
            /\b(?:Wistar|Sprague-?\s?Dawley|C57BL)\b|\banimal model\b|\b(?:murine|porcine|ovine) model\b/i
          ],
          "protocol" => [
            /\bwe (?:plan|intend|aim|propose) to \w+/i, /\bno results are reported\b/i,
            /\bwill be (?:randomi[sz]ed|randomly|recruited|enrolled|invited|followed|allocated|searched|interviewed)/i,
            /\b(?:is|are) (?:going )?to be (?:allocated|run|recruited|enrolled|analy[sz]ed|followed)/i,
            /\brecruitment (?:begins|starts|will)\b/i, /\b(?:we|this (?:trial|study)) will (?:randomi[sz]e|recruit|enrol|compare|assess|test|measure)/i,
            /\b(?:results|findings) are expected\b/i
          ],
          "randomized_trial" => [
            /\brandomly (?:assigned|allocated|divided|put|split|received|given)\b/i,
            /\b(?:allocated|assigned|split) at random\b/i,
            /\bin random order\b/i,
            /(?<!not )(?<!non-)(?<!not been )(?<!never )\brandomi[sz]ed(?! (?:controlled )?trials?\b)(?! stud)/i,
            /(?<!without )\brandomi[sz]ation\b/i,
            /\bsealed (?:opaque )?envelopes?\b|\bopaque envelopes?\b|\brandom numbers\b/i,
            /\b(?:drew|drawing|drawn) (?:of )?(?:an? )?(?:\w+ )?(?:lots?|balls?|cards?|slips?)\b|\btoss of a coin\b|\bby lot\b/i,
            /\bminimi[sz]ation\b/i
          ],
          "controlled_trial" => [
            /\b(?:even|odd) (?:dates|days|weeks|numbers)\b/i,
            /\balternat(?:e|ely|ing)\b|\bevery (?:second|other) #{PEOPLE.sub("s", "s?")}/i,
            /\b(?:by|according to|depending on|based on) (?:the |their )?(?:dates?|days? of|months?|weeks?|weekdays?|hospital number|record number|file number|birthday|year of birth|bed|room|order of)\b/i,
            /\b(?:bed|room|side|place|nurse|ward) that (?:was|happened to be) free\b/i,
            /\b(?:mon|tues|wednes|thurs|fri|satur|sun)days?\b[^.]*\b(?:later|other|others|control|usual|standard)\b/i,
            /\b(?:chose|picked)\b[^.]*\b(?:themselves|themself|preferred|group|arm|or usual)\b|\bpreference of\b|\bown choice\b/i,
            /\b(?:not|never|without being) randomi[sz]ed\b|\bnon-?randomi[sz]ed\b|\bwithout randomi[sz]ation\b|\bquasi-/i,
            /\bone (?:side|ward|unit|wing|floor|half)\b[^.]*\b(?:the )?(?:other|another)\b[^.]*\b(?:not|usual|as before|did)\b/i,
            /\bthe (?:doctor|physician|clinician|nurse|surgeon|staff) (?:chose|decided)\b/i,
            /\bgroups? (?:were|was) (?:made|formed|set) by\b/i,
            /\bthose who (?:declined|refused|did not want)\b[^.]*\b(?:comparison|control|usual)/i,
            /\bput in(?:to)? groups by\b/i
          ],
          "case_control" => [
            /\bmatched (?:by|for|on|with|to)\b[^.]*\b(?:without|controls?|others)\b/i,
            /\bcases? and controls?\b/i,
            /\bcontrols (?:were|without)\b/i,
            /\bfor each (?:case|patient|person|child)\b[^.]*\b(?:picked|chose|selected|matched)\b[^.]*\b(?:not|without)\b/i
          ],
          "before_after" => [
            %r{\bbefore and after\b|\bpre-? ?(?:and|/|-)? ?-?post\b}i, /\b(?:before|preceding) (?:the )?(?:\w+ ){0,2}(?:started|began|introduction|change|arrived)\b/i,
            /\b(?:months|year|years|weeks|period) after\b[^.]*\b(?:introduc|change|start|became|came)/i,
            /\b(?:earlier|historical) (?:controls|patients|comparison)\b|\binterrupted time series\b/i,
            /\b(?:staff|we) introduced\b/i, /\bcompared with the (?:year|months?|weeks?|period|quarter) before\b/i
          ],
          "cohort" => [
            /\bwe followed\b|\bwere followed\b|\bfollowed (?:up )?(?:for|until|to)\b/i,
            /\bretrospective(?:ly)?\b/i,
            /\b(?:reviewed|looked (?:back|through)|went through)\b[^.]*\b(?:notes|records|charts|database)\b/i,
            /\ball #{PEOPLE} (?:admitted|seen|treated|discharged|born)\b/i,
            /\bconsecutive(?:ly)?\b[^.]*#{PEOPLE}/i,
            /\bcohort\b/i,
            /\b(?:identified|included) (?:everyone|all|every)\b|\btraced\b/i,
            /\bexposed and (?:not exposed|unexposed)\b/i,
            /\b(?:those|people|patients) who (?:used|had|got|wore)\b[^.]*\bwith those who did not\b/i,
            /\badjust(?:ed|ing) for\b/i,
            /\bwere observed until\b/i
          ],
          "cross_sectional" => [/\b(?:cross-sectional|questionnaires?|survey(?:ed)?)\b/i,
                                /\b(?:on|at) one (?:day|night|time|point in time)\b/i,
                                /\basked to fill in\b|\bfilled in\b/i,
                                /\b(?:visited|seen|looked at)\b[^.]*\bonce\b/i],
          "qualitative" => [
            /\binterview(?:s|ed)\b|\bfocus groups?\b|\bfield notes\b/i,
            /\bconversations\b[^.]*\b(?:theme|bedside|about)/i,
            /\b(?:by|into) themes?\b|\bthematic\b/i,
            /\bphenomenolog|\bgrounded theory\b|\bethnograph/i
          ],
          "diagnostic" => [/\breference standard\b|\bcounts as the truth\b/i,
                           /\beach (?:person|patient) had\b[^.]*\btest and\b[^.]*\btest\b/i,
                           /\bdid not know the other result\b/i],
          "systematic_review" => [
            /\bsearched\b[^.]*\b(?:databases?|regist(?:er|ry|ries)|reference lists)\b/i,
            /\b(?:databases?|registers?)\b[^.]*\bwere searched\b|\belectronic searches\b/i,
            /\b(?:two|three) (?:reviewers|authors|people|of us) (?:\w+ )?(?:chose|screened|selected|judged)\b/i,
            /\b(?:studies|trials) (?:were )?(?:identified|included|selected|pooled) (?:through|by|from)\b/i
          ],
          "guideline" => [
            /\b(?:panel|working group|committee)\b[^.]*\b(?:graded|agreed|recommend|voted|vote)/i,
            /\brecommendations\b[^.]*\b(?:graded|agreed|consensus)/i
          ],
          "cost" => [/\bcosts?\b[^.]*\b(?:counted|measured|estimated|taken|from the (?:side|view))/i,
                     /\bcost[- ]effectiveness\b/i],
          "case_series" => [
            /\bour (?:first |early )?experience (?:with|of)\b/i, /\bwe (?:report|describe|present)(?: on)? (?:\w+ )?(?:days|a case|one|two|three|four|the case)\b/i,
            /\bA \d+-year-old (?:man|woman|boy|girl|patient)\b/
          ],
          "opinion" => [
            /\bno search (?:method|strategy) is (?:reported|given)\b|\bwe tell what has been written\b/i,
            /\bthe author (?:suggests|argues|believes)\b/i,
            /\bthis (?:overview|article|paper)\b[^.]*\b(?:explains|discusses|describes|summari[sz]es)\b/i,
            /\bwe (?:argue|believe|call for)\b|\bwe read with interest\b/i
          ]
        }.freeze

        # What these tell is true whatever else is told: of animals, and of what is yet to be done.
        OUTRANK = %w[mechanism protocol].freeze
      end

      # Whether a trial randomised whole clusters, or gave everybody both in turn, as its title and
      # abstract say.
      module UnitOfAllocation
        CLUSTER = /\bcluster[- ]?(?:randomi[sz]ed|controlled|trial|crossover|level)|\bstepped[- ]wedge|
          \brandomi[sz]ed\sby\s(?:cluster|ward|unit|practice|home|hospital)|
          (?:\A|[.:;]\s+)(?:(?!(?:in|of|at|from|on)\b)[\p{L}\d’'-]+\s){0,4}
            (?:wards|units|practices|homes|hospitals|clusters|villages|schools)\s(?:(?!(?:in|of|at|from|on)\b)\p{L}+\s){0,2}?
            were\srandom(?:i[sz]ed|ly\s(?:assigned|allocated))/ix
        CROSSOVER = /\bcross-?\s?over\b(?!\s(?:from|to|was\sallowed|after))/i
        private_constant :CLUSTER, :CROSSOVER

        # record :: Records::Record. Gives :cluster, :crossover or nil.
        def self.of(record)
          text = "#{record.title}. #{record.abstract}"
          return :cluster if text.match?(CLUSTER)

          :crossover if text.match?(CROSSOVER)
        end
      end
    end
  end
end
