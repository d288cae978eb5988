# frozen_string_literal: true

module Hobrin
  class Question
    class Proposals
      # The shapes of English questions at the bedside, in the order they are tried. A group of a
      # pattern is named by the element that it holds, `cue` by what gives it away (`cueO` for the
      # outcome, where that has one of its own); what a rule found is cut out before the next one
      # looks. Common practice, no source.
      module Rules
        KEYS = %w[P I C O T].freeze

        Rule = Struct.new(:pattern) do
          def match(text) = pattern.match(text)

          # Whether it looks for an element that a question has once and that was found already.
          def late?(found) = pattern.names.intersect?(found - ["O"])

          # Where the elements of a match and its cue stand: what is read once.
          def spans(match) = match.names.filter_map { |name| match.offset(name) if match[name] }
        end

        PEOPLE_WORDS = %w[
          adult adults people person persons patient patients inpatient inpatients outpatient outpatients child children
          infant infants baby babies newborn newborns toddler toddlers adolescent adolescents teenager teenagers woman
          women man men girl girls boy boys mother mothers father fathers parent parents relative relatives family
          families carer carers caregiver caregivers nurse nurses midwife midwives student students staff resident
          residents survivor survivors volunteer volunteers elderly visitor visitors smokers runners athletes
        ].freeze
        PEOPLE = /(?:#{PEOPLE_WORDS.join("|")})/
        private_constant :PEOPLE_WORDS

        # Years and languages are left to limits, and so are no part of a phrase.
        LIMITS = /\b(?:since|between|from)\s(?:19|20)\d\d(?:\s(?:and|to)\s(?:19|20)\d\d)?\b|\b(?:in\s)?(?:the\s)?(?:last|past)\s[\w-]+\syears\b|\b(?:written|published)\sin\s[a-z]+\b/

        # Whether words are about people.
        def self.people?(text) = text.match?(/\b#{PEOPLE}\b/i)

        # A word that could describe people, and so none that begins something else.
        PLAIN = /(?!(?:in|of|for|among|amongst|on|with|to|at|by|and|or)\b)[\w'-]+/
        private_constant :PLAIN

        STOP = /[,?;:.]/
        REST = /[^,?;:.]+?/
        # What is done or met with: no pronoun.
        THING = /(?!(?:it|there|i|we|you)\b)#{REST}/
        PLACE = /(?:icu|intensive\scare|hospitals?|nursing\shomes?|wards?|units?|emergency\sdepartments?|community)\b/
        AUX = /(?:do|does|did|can|could|will|would|should|may|might|is|are|was|were|has|have)/
        SO = /(?:(?:significantly|best|better|also|really|help|helps|to|effectively|reliably|safely|accurately)\s+)*/
        STEMS = %w[
          improv reduc prevent increas decreas lower shorten lessen affect influenc caus detect diagnos identif predict
          reliev eas rais promot delay worsen speed heal minimi treat manag control confirm avoid limit enhanc support
          protect recover sav rule check
        ].freeze
        VERB = /#{SO}(?:(?:#{STEMS.join("|")})(?:e|es|s|ed|d|ing|y|ies|ying|se|ses|sing|ze|zes|zing)?|lead(?:s|ing)?\sto)(?:\s(?:up|out|down|for))?/
        OBJECT = /(?:(?:(?:more|the|a|higher|lower)\s+)*(?:risk|rate|incidence|chance|likelihood|number|frequency)\sof\s)?/
        VERSUS = /compared\s(?:with|to)|in\scomparison\s(?:with|to)|versus|vs|rather\sthan|instead\sof|as\sopposed\sto|than/
        SPAN = /(?:\d+|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\s(?:hour|day|night|week|month|year)s?/
        private_constant :STOP, :REST, :THING, :PLACE, :AUX, :SO, :STEMS, :VERB, :OBJECT, :VERSUS,
                         :SPAN

        QUALITY = /effective|accurate|good|reliable|safe|useful|sensitive|beneficial|helpful|valid/
        NOUNS = /effects?|impact|influence|benefits?|role|sensitivity|specificity|accuracy|value|harms?|effectiveness/
        TELLING = /experiences?|views?|perceptions?|attitudes?|feelings?|beliefs?|opinions?|needs|perspectives?/
        PROGNOSIS = /risk|chances?|likelihood|odds|incidence|prevalence|rate|frequency|prognosis/
        private_constant :QUALITY, :NOUNS, :TELLING, :PROGNOSIS

        ALL = [
          # by when
          /\b(?<T>(?:within|over|during|after|by|for|at)\s(?:the\s)?(?:first\s|next\s|last\s|following\s)?#{SPAN})\b/,
          # people who can tell
          /\A(?<cue>how\sdo)\s(?<P>#{REST})\s(?:experience|feel\sabout|perceive|see|view|cope\swith|live\swith|understand|describe)\s(?<I>#{REST})\s*(?=#{STOP}|\z)/,
          /\bwhat\sdo\s(?<P>#{REST})\s(?<cue>think\s(?:about|of)|feel\sabout|say\sabout|want\sfrom)\s(?<I>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?<cue>what\sis\sit\slike\sfor)\s(?<P>#{REST})\sto\s(?<I>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?<cue>#{TELLING}\sof)\s(?<P>#{REST})\s(?:of|on|about|with|towards?|regarding|when)\s(?<I>#{REST})\s*(?=#{STOP}|\z)/,
          # who, before the question proper
          /\A(?<P>(?:#{PLAIN}\s){0,3}?#{PEOPLE}\b[^,?;:.]*)(?<cue>:)/,
          /\A(?<cue>in|among|amongst|for|with)\s(?<P>#{REST})\s*(?:,|(?=\s#{AUX}\b|\swhat\b|\show\b))/,
          # against what
          /\b(?<cue>as\s(?:well|good|accurately|reliably|safely|effective|safe)\sas)\s(?<C>#{REST})\s*(?=#{STOP}|\z|\s(?:at|for|in|among)\s)/,
          /\b(?<cue>#{VERSUS})\s(?<C>#{REST})\s*(?=#{STOP}|\z|\s(?:for|in|among|at)\s|\s(?:to\s)?#{VERB}\b)/,
          # whom it is given to
          /\A(?<cue>should)\s(?<P>(?:[\w'-]+\s){0,4}?#{PEOPLE}\b[^,?;:.]*?)\s(?:be\s(?:given|offered|taught)|receive|have\s(?:it|them)|have|get|use|wear|take)\s(?<I>#{REST})\s*(?=#{STOP}|\z|\s(?:to|for)\s)/,
          /\b(?<cue>worth\sthe\smoney\sto\s(?:give|offer))\s(?<I>#{REST})\sto\s(?<P>#{REST})\s*(?=#{STOP}|\z)/,
          /\A(?<cue>what\shappens\sto)\s(?<P>#{REST})\s*(?=#{STOP}|\z)/,
          # nurses who work night shifts
          /\A(?<cue>are|is|do)\s(?<P>(?:[\w'-]+\s){0,3}?#{PEOPLE})\s(?:who|that)\s(?<I>#{REST})\s(?:at|more|less)\s(?:(?:higher|greater|increased|lower)\s)?(?:risk|likely)\s(?:of|to\s(?:get|have|develop))\s(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?:proportion|percentage|share)\s(?<cue>of)\s(?<P>(?:[\w'-]+\s){0,3}?#{PEOPLE})\s(?:recover|regain|develop|get|have|report|suffer)\s(?<O>#{REST})\s*(?=#{STOP}|\z|\sin\s|\safter\s)/,
          # stop patients falling
          /\b(?<cue>stop|prevent|keep|help|get|encourage)\s(?<P>(?:#{PLAIN}\s){0,3}?#{PEOPLE}(?:\s(?:with|after|on)\s[\w-]+)?)\s(?:from\s|to\s)?(?<O>(?!with\b)\w{3,}#{REST}?)\s*(?=#{STOP}|\z)/,
          # who, at the end
          /\s(?<cue>in|among|amongst|for|of)\s(?<P>(?:#{PLAIN}\s){0,3}?#{PEOPLE}\b[^,?;:.]*)/,
          /\s(?<cue>in|on)\s(?<P>(?:#{PLAIN}\s){0,2}?#{PLACE})\s*(?=#{STOP}|\z)/,
          # what, and to what end
          /\b(?<cue>is\sit\s(?:safe|good|worth|worthwhile|useful|better|necessary)\sto\s(?:give|use|offer|do|put))\s(?<I>#{REST})\s*(?=#{STOP}|\z|\s(?:before|after|for|to|when)\s)/,
          /\b(?<cue>(?:can|should|may|could|do)\s(?:i|we|you)\s(?:use|give|offer|do|try|put))\s(?<I>#{REST})\s*(?=#{STOP}|\z|\s(?:to|for)\s)/,
          /\b(?<cue>which)\s(?<I>#{REST})\s(?:is|are|works?)\s(?:best|better|safest)\s(?:for|at|in|to)\s(?:#{VERB}\s)?(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?<cue>(?:#{NOUNS})\sof)\s(?<I>#{REST})\s(?:on|for|in)\s(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          /\bhow\s(?:#{QUALITY})\s(?<cue>is|are)\s(?<I>#{REST})\s(?:for|at|in)\s(?:#{VERB}\s)?(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          /\bhow\s(?:#{QUALITY})\s(?<cue>is|are)\s(?<I>#{REST})\s*(?=#{STOP}|\z)/,
          /\bhow\s(?<cue>likely|common|frequent)\s(?:is|are)\s(?<O>#{REST})\s*(?=#{STOP}|\z|\safter\s)/,
          /\b(?<cue>how\slong\sdoes)\s(?<O>#{REST})\s(?:last|take|go\son)/,
          /\A(?<cue>is|are)\s(?<I>#{REST})\s(?:associated\swith|linked\s(?:to|with)|a\scause\sof|a\srisk\sfor)\s#{OBJECT}(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?<cue>is|are)\s(?<I>#{THING})\s(?:worth\sit|(?:(?:more|less|as|most|better|worse|cost-)\s?)*(?:#{QUALITY})|better|worse|superior|cost-?\s?effective|good\svalue)\b(?:[\s,]+(?:for|at|in)\s(?:#{VERB}\s)?(?<O>#{REST})\s*(?=#{STOP}|\z))?/,
          /\b(?<cue>are|is)\s(?<I>#{REST})\s*,+\s*(?:at|for|in)\s(?:#{VERB}\s)?(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?<cue>which)\s(?<I>#{REST})\s(?<cueO>#{VERB})\s(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?<cue>does|do|can|could|will|would|should|may|did)\s(?<I>#{THING})[\s,]+(?<cueO>#{VERB})\s#{OBJECT}(?<O>#{REST})\s*(?=#{STOP}|\z|\s(?:and|or)\s#{VERB}\s)/,
          /\b(?<cue>does|do|will|can|could|would|should)\s(?<I>#{THING})\s*,{3}/,
          /\b(?<cue>costs?\sof)\s(?<I>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?<cue>#{PROGNOSIS})\sof\s(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          # a second end
          /\b(?:and|or)\s(?<cue>(?:to\s)?#{VERB})\s#{OBJECT}(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          /\b(?<cue>(?:to|for)\s#{VERB})\s#{OBJECT}(?<O>#{REST})\s*(?=#{STOP}|\z)/,
          # where, when nobody is named
          /\s(?<cue>in|among)\s(?<P>[^,?;:.]+?)\s*(?=\?|\z)/
        ].map { |pattern| Rule.new(pattern).freeze }.freeze
      end
    end
  end
end
