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
      # What has no level of its own.
      NOT_A_STUDY = %w[guideline protocol opinion].freeze
      private_constant :TREATMENT, :TABLE, :STRONGEST, :NOT_A_STUDY

      class << self
        # record :: Records::Record; kind :: a Question::Kind key or nil; design :: a Design
        # reviewed :: the Design of the studies that a review reviewed, or nil; answers :: to the
        #   sheet, Hash of question key to a key of Answer::WORDS
        # graded :: −1 (one level stronger), 0 or 1 (one weaker)
        def of(record:, kind:, design:, reviewed: nil, answers: {}, graded: 0)
          return none(:retracted) if record.retracted?
          return none(design.key) if NOT_A_STUDY.include?(design.key)
          return none(:no_question_type) unless kind
          return none(:not_covered) unless TABLE.key?(kind)

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
          return none(:reviewed) unless reviewed

          strongest = STRONGEST.fetch(kind).include?(reviewed.key)
          placed(kind, strongest ? 1 : TABLE[kind][reviewed.key], :review_of_such)
        end

        def diagnostic(kind, answers)
          return placed(kind, TABLE[kind]["diagnostic"]) unless kind == "diagnosis"

          reference, blinded, same = answers.values_at(:reference, :blinded, :same_reference)
          return none(:reference_standard) unless reference && blinded
          return placed(kind, 4, :poor_reference) if reference == :no
          return placed(kind, 3, :different_reference) if %i[no not_told].include?(same)

          sure = [reference, blinded].all? { |answer| %i[yes mostly].include?(answer) }
          placed(kind, sure ? 2 : 3, sure ? :good_reference : :unsure_blinding)
        end

        def cohort(kind, design, answers)
          return placed(kind, 4, :many_lost) if kind == "prognosis" && answers[:followed] == :no

          placed(kind, TABLE[kind][design.key])
        end

        # With the row of the table that it stands in.
        def placed(kind, number, because = nil)
          return none(:not_placed) unless number

          row = Book.t("appraisal.level.row", kind: Book.t("appraisal.level.rows.#{kind}"), number:, content: content(kind, number))
          new(number:, why: [row, *(Book.t("appraisal.level.because.#{because}") if because)].join("; "))
        end

        # What the table says of a level. For harm only the first row is another one than for treatment.
        def content(kind, number)
          kind = "treatment" if kind == "harm" && number > 1
          Book.t("appraisal.level.content.#{kind}.level_#{number}")
        end

        def none(reason) = new(number: nil, why: Book.t("appraisal.level.none.#{reason}"))
      end

      def to_s = number ? Book.t("appraisal.level.name", number:) : Book.t("appraisal.level.no_level")
    end
  end
end
