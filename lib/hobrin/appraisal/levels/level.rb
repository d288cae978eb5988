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
                    "case_control" => 4, "before_after" => 4, "case_series" => 4, "mechanism" => 5 }.freeze
      TABLE = {
        "treatment" => TREATMENT,
        "harm" => TREATMENT,
        "diagnosis" => { "diagnostic" => 2, "cross_sectional" => 3, "cohort" => 3, "case_control" => 4,
                         "mechanism" => 5 }.freeze,
        "prognosis" => { "inception_cohort" => 2, "cohort" => 3, "randomized_trial" => 3, "case_control" => 4,
                         "case_series" => 4 }.freeze
      }.freeze
      # Level of the one kind of study whose reviews are the strongest.
      SECOND = 2
      NOT_A_STUDY = {
        "guideline" => "A guideline has no level of its own: look at the studies it rests on.",
        "protocol" => "A protocol has no results to weigh yet.",
        "opinion" => "An opinion is not on the 2011 table, which asks for studies or reasoning " \
                     "from mechanism."
      }.freeze
      RETRACTED = "It was retracted: nothing in it counts as evidence."
      private_constant :TREATMENT, :TABLE, :SECOND, :NOT_A_STUDY, :RETRACTED

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

        # The designs that a review of such a question may have reviewed, strongest first; all
        # others
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
          else placed(TABLE[kind][design.key])
          end
        end

        # A review is as strong as what it reviewed; of the strongest kind of study it is level 1.
        def review(kind, reviewed)
          return none("Say what kind of studies it reviewed: the level depends on it.") unless reviewed

          own = TABLE[kind][reviewed.key]
          placed(own == SECOND ? 1 : own, "as a review of such studies")
        end

        def diagnostic(kind, answers)
          return placed(TABLE[kind]["diagnostic"]) unless kind == "diagnosis"

          reference, blinded = answers.values_at(:reference, :blinded)
          unless reference && blinded
            return none("Answer below whether all had the same good reference standard, and whether each test " \
                        "was read without knowing the other: the level depends on both.")
          end
          return placed(4, "a poor reference standard, or not the same for all") if reference == :no

          sure = [reference, blinded].all? { |answer| %i[yes mostly].include?(answer) }
          return placed(2, "one good reference standard, read apart") if sure

          placed(3, "not sure that tests were read apart, against one good reference standard")
        end

        def cohort(kind, design, answers)
          return placed(4,
                        "a cohort of which many were lost") if kind == "prognosis" && answers[:followed] == :no

          placed(TABLE[kind][design.key])
        end

        def placed(number, because = nil)
          return none("The 2011 table does not place this design for this kind of question.") unless number

          new(number:, why: ["OCEBM 2011", *because].join(", "))
        end

        def none(why) = new(number: nil, why:)
      end

      def to_s = number ? "Level #{number}" : "No level"
    end
  end
end
