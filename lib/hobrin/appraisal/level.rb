# frozen_string_literal: true

module Hobrin
  module Appraisal
    # The level of evidence, 1 (strongest) to 5, by the kind of question, the design, and what the
    # table asks beside it: what a review reviewed, whether a test was judged apart from a good
    # reference standard, whether people were followed.
    # Source: OCEBM Levels of Evidence Working Group, "The Oxford 2011 Levels of Evidence" (from
    # memory). The table has no row for prediction rules, experience or cost: there, and for papers
    # that are no study of their own, no level is given and the reason is said.
    #
    # number :: 1 to 5, or nil; why :: where the number comes from, or why there is none
    class Level < Value
      attributes :number, :why

      TREATMENT = { "randomized_trial" => 2, "controlled_trial" => 3, "inception_cohort" => 3, "cohort" => 3,
                    "case_control" => 4, "nested_case_control" => 4, "before_after" => 4, "case_series" => 4,
                    "mechanism" => 5 }.freeze
      TABLE = {
        "treatment" => TREATMENT,
        "harm" => TREATMENT,
        "diagnosis" => { "diagnostic" => 2, "cross_sectional" => 3, "cohort" => 3, "case_control" => 4,
                         "mechanism" => 5 }.freeze,
        "prognosis" => { "inception_cohort" => 2, "cohort" => 3, "randomized_trial" => 3, "case_control" => 4,
                         "case_series" => 4 }.freeze
      }.freeze
      # The kinds of study whose reviews are level 1. Of harms those of nested case-control studies
      # are, too, though a single one is level 4.
      STRONGEST = { "treatment" => %w[randomized_trial], "harm" => %w[randomized_trial nested_case_control],
                    "diagnosis" => %w[diagnostic], "prognosis" => %w[inception_cohort] }.freeze
      # The row of the table for each kind of question, and what stands in it at each level, in our
      # words.
      ROWS = { "treatment" => "treatment benefits", "harm" => "treatment harms", "diagnosis" => "diagnosis",
               "prognosis" => "prognosis" }.freeze
      EFFECTS = { 2 => "a randomised trial, or an observational study with a dramatic effect",
                  3 => "a controlled cohort that was not randomised", 4 => "case series, case-control, or earlier patients as comparison",
                  5 => "reasoning from mechanism" }.freeze
      CONTENT = {
        "treatment" => { 1 => "a systematic review of randomised trials or n-of-1 trials", **EFFECTS }.freeze,
        "harm" => { 1 => "a systematic review of randomised trials or of nested case-control studies", **EFFECTS }.freeze,
        "diagnosis" => { 1 => "a systematic review of cross-sectional studies with one reference standard and blinding",
                         2 => "a cross-sectional study with one reference standard for all and blinding",
                         3 => "patients not consecutive, or not the same reference standard for all",
                         4 => "case-control, or a poor or dependent reference standard", 5 => "reasoning from mechanism" }.freeze,
        "prognosis" => { 1 => "a systematic review of inception cohorts", 2 => "an inception cohort",
                         3 => "a cohort, or the control arm of a randomised trial",
                         4 => "case series, case-control, or a cohort of poor quality" }.freeze
      }.freeze
      NOT_A_STUDY = {
        "guideline" => "A guideline has no level of its own: look at the studies it rests on.",
        "protocol" => "A protocol has no results to weigh yet.",
        "opinion" => "An opinion is not on the 2011 table, which asks for studies or reasoning " \
                     "from mechanism."
      }.freeze
      RETRACTED = "It was retracted: nothing in it counts as evidence."
      private_constant :TREATMENT, :TABLE, :STRONGEST, :ROWS, :EFFECTS, :CONTENT, :NOT_A_STUDY, :RETRACTED

      class << self
        # record :: Records::Record; kind :: a Question::Kind key or nil; design :: a Design
        # reviewed :: the Design of the studies that a review reviewed, or nil; answers :: to the
        #   sheet, Hash of question key to a key of Answer::WORDS
        # graded :: −1 (one level stronger), 0 or 1 (one weaker)
        def of(record:, kind:, design:, reviewed: nil, answers: {}, graded: 0)
          return none(RETRACTED) if record.retracted?
          return none(NOT_A_STUDY[design.key]) if NOT_A_STUDY.key?(design.key)
          return none("Say on Ask what kind of question this is.") unless kind
          return none("The 2011 table does not cover this kind of question.") unless TABLE.key?(kind)

          found = by_table(kind, design, reviewed, answers)
          found.number ? found.with(number: (found.number + graded).clamp(1, 5)) : found
        end

        # The designs that a review of such a question may have reviewed, strongest first; all others
        # have no place on the table.
        def reviewable(kind)
          TABLE.fetch(kind, TREATMENT).keys.map { |key| Design.fetch(key) }
        end

        # The level of each design that the table places: Hash of a Design's key to a number. As for
        # treatment where it has no row for the kind.
        def by_design(kind) = TABLE.fetch(kind, TREATMENT)

        # The study types of the library from the strongest for a kind of question to the weakest;
        # those that the table does not place come last, in the order of Design::ALL. kind :: a
        # Question::Kind key or nil
        def types(kind)
          table = { "systematic_review" => 1, **TABLE.fetch(kind, TREATMENT) }
          designs = Design::ALL.sort_by.with_index { |design, place| [table.fetch(design.key, table.size), place] }
          designs.flat_map(&:types)
        end

        private

        def by_table(kind, design, reviewed, answers)
          case design.key
          when "systematic_review" then review(kind, reviewed)
          when "diagnostic" then diagnostic(kind, answers)
          when "cohort", "inception_cohort" then cohort(kind, design, answers)
          else placed(kind, TABLE[kind][design.key])
          end
        end

        # A review is as strong as what it reviewed; of the strongest kind of study it is level 1.
        def review(kind, reviewed)
          return none("Say what kind of studies it reviewed: the level depends on it.") unless reviewed

          strongest = STRONGEST.fetch(kind).include?(reviewed.key)
          placed(kind, strongest ? 1 : TABLE[kind][reviewed.key], "as a review of such studies")
        end

        def diagnostic(kind, answers)
          return placed(kind, TABLE[kind]["diagnostic"]) unless kind == "diagnosis"

          reference, blinded, same = answers.values_at(:reference, :blinded, :same_reference)
          unless reference && blinded
            return none("Answer below whether the reference standard was good and the same for all, and whether each " \
                        "test was read without knowing the other: the level depends on them.")
          end
          return placed(kind, 4, "a poor reference standard") if reference == :no
          return placed(kind, 3, "not the same reference standard for all") if %i[no not_told].include?(same)

          sure = [reference, blinded].all? { |answer| %i[yes mostly].include?(answer) }
          placed(kind, sure ? 2 : 3, sure ? "one good reference standard, read apart" : "not sure that tests were read apart")
        end

        def cohort(kind, design, answers)
          return placed(kind, 4, "a cohort of which many were lost") if kind == "prognosis" && answers[:followed] == :no

          placed(kind, TABLE[kind][design.key])
        end

        # With the row of the table that it stands in.
        def placed(kind, number, because = nil)
          return none("The 2011 table does not place this design for this kind of question.") unless number

          row = "OCEBM 2011, row #{ROWS.fetch(kind)}, level #{number}: #{CONTENT.fetch(kind).fetch(number)}"
          new(number:, why: [row, *because].join("; "))
        end

        def none(why) = new(number: nil, why:)
      end

      def to_s = number ? "Level #{number}" : "No level"
    end
  end
end
