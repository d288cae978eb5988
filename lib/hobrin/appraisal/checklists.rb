# frozen_string_literal: true

require "yaml"

module Hobrin
  module Appraisal
    # The few questions asked of a paper, by its design: what the published instruments have in
    # common, in wording of our own, grouped by where error comes in.
    module Checklists
      # One question of a sheet, put so that "yes" speaks for the paper.
      #
      # key :: Symbol; group :: key of GROUPS: where error comes in; text :: the question
      # cue :: Regexp of words by which a text tells the answer; light :: whether a "no" is of some
      #   concern only, since it often cannot be otherwise
      class Question < Value
        attributes :key, :group, :text, :cue, :light

        # Up to so many sentences are shown for a question.
        MOST = 2
        private_constant :MOST

        # The sentences of a passage that may answer it, those with most of its words first.
        # passage :: CloseReading::Passage. Gives an Array of CloseReading::Passage::Sentence.
        def sentences(passage)
          found = passage.sentences.map { |sentence| [sentence, sentence.matches(cue).size] }
          found.reject { |_, words| words.zero? }.sort_by { |sentence, words| [-words, sentence.from] }
               .first(MOST).map(&:first)
        end
      end

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

        # name :: as config/checklists.yml has it. Raises NameError for an unknown one.
        def self.named(name) = const_get(name.upcase, false)
      end

      # How much concern there is that error came in, by group of questions and in all.
      #
      # The rule, which stands on the sheet: a "no" is of high concern (of some, where it often
      # cannot be otherwise), "mostly" and "not told" of some, "yes" of low. A group is as its
      # worst answer, the whole as its worst group. A group without an answer says nothing (common
      # practice, no source).
      module Concern
        LEVELS = %i[low some high].freeze
        WORDS = Book.names("appraisal.risk", LEVELS)
        RULE = Book.t("appraisal.risk_rule")

        # A concern that a person set otherwise: concern :: one of LEVELS; why :: the reason
        class Set < Value
          attributes :concern, :why

          # Raises InputError (:concerns).
          def initialize(concern:, why:)
            @concern = concern.to_s.to_sym
            @why = why.to_s.strip.freeze
            raise InputError, { concerns: Book.t("appraisal.errors.risk") } unless LEVELS.include?(@concern)
            raise InputError, { concerns: Book.t("appraisal.errors.risk_reason") } if @why.empty?

            FieldLengths.check(:concern_reason, @why, at: :concerns)
            freeze
          end
        end

        class << self
          # questions :: Array of Question; answers :: Hash of key to Answer; set :: Hash of group to Set
          # Gives a Hash of group to one of LEVELS, groups that say nothing left out.
          def by_group(questions, answers, set = {})
            questions.group_by(&:group).filter_map do |group, some|
              found = set[group]&.concern || worst(some.filter_map { |question| of(question, answers[question.key]) })
              [group, found] if found
            end.to_h
          end

          # Of the whole paper; nil when nothing is answered.
          def overall(by_group) = worst(by_group.values)

          private

          def of(question, answer)
            case answer&.says
            when :yes then :low
            when :mostly, :not_told then :some
            when :no then question.light ? :some : :high
            end
          end

          def worst(levels) = levels.max_by { |level| LEVELS.index(level) }
        end
      end

      # key :: Symbol; questions :: Array of Question
      class Sheet < Value
        attributes :key, :questions

        def name = Book.t("appraisal.checklist.#{key}.name")

        # The published instrument whose spirit it takes.
        def spirit = Book.t("appraisal.checklist.#{key}.source")
        def question(key) = questions.find { |question| question.key == key }
      end

      # The domains of bias by the keys under which answers are kept.
      DOMAINS = { in: :selection, alike: :confounding, apart: :performance, measured: :detection, lost: :attrition,
                  told: :reporting }.freeze
      GROUPS = DOMAINS.transform_values { |domain| Book.t("appraisal.domain.#{domain}") }.freeze
      FILE = File.expand_path("../../../config/checklists.yml", __dir__)
      ALL = YAML.safe_load_file(FILE, symbolize_names: true).to_h do |sheet, rows|
        questions = rows.map do |row|
          Question.new(key: row.fetch(:key).to_sym, group: DOMAINS.key(row.fetch(:domain).to_sym), cue: Cues.named(row.fetch(:cue)),
                       text: Book.t("appraisal.checklist.#{sheet}.question.#{row.fetch(:key)}"), light: row.fetch(:light, false))
        end
        [sheet, Sheet.new(key: sheet, questions:)]
      end.freeze
      # A cohort is asked other things when the question is how a condition goes on, or who will
      # have it.
      BY_KIND = { "prognosis" => :prognosis, "prediction" => :rule }.freeze
      # The names of all questions.
      KEYS = ALL.values.flat_map { |sheet| sheet.questions.map(&:key) }.uniq.freeze
      private_constant :BY_KIND, :DOMAINS, :FILE

      class << self
        # design :: Design; kind :: key of the kind of question, or nil. Gives a Sheet.
        def for(design, kind = nil)
          ALL.fetch(design.sheet == :cohort ? BY_KIND.fetch(kind, :cohort) : design.sheet)
        end
      end
    end
  end
end
