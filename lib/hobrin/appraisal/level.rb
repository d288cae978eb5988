# frozen_string_literal: true

module Hobrin
  module Appraisal
    # The level of evidence, 1 (strongest) to 5, by the kind of question and the design.
    # Source: OCEBM Levels of Evidence Working Group, "The Oxford 2011 Levels of Evidence" (from
    # memory). The table has no row for prediction rules, experience or cost: there, and for papers
    # that are no study of their own, no level is given and the reason is said.
    #
    # number :: 1 to 5, or nil; why :: where the number comes from, or why there is none
    class Level < Value
      attributes :number, :why

      TREATMENT = { "systematic_review" => 1, "randomized_trial" => 2, "controlled_trial" => 3, "inception_cohort" => 3,
                    "cohort" => 3, "case_control" => 4, "before_after" => 4, "case_series" => 4,
                    "mechanism" => 5 }.freeze
      TABLE = {
        "treatment" => TREATMENT,
        "harm" => TREATMENT,
        "diagnosis" => { "systematic_review" => 1, "diagnostic" => 2, "cross_sectional" => 3, "cohort" => 3,
                         "case_control" => 4, "mechanism" => 5 }.freeze,
        "prognosis" => { "systematic_review" => 1, "inception_cohort" => 2, "cohort" => 3, "randomized_trial" => 3,
                         "controlled_trial" => 3, "case_control" => 4, "case_series" => 4 }.freeze
      }.freeze
      NOT_A_STUDY = {
        "guideline" => "A guideline has no level of its own: look at the studies it rests on.",
        "protocol" => "A protocol has no results to weigh yet.",
        "opinion" => "An opinion is not on the 2011 table, which asks for studies or reasoning from mechanism."
      }.freeze
      private_constant :TREATMENT, :TABLE, :NOT_A_STUDY

      # kind :: a Question::Kind key or nil; design :: a Design; graded :: −1 (one level stronger),
      #   0 or 1 (one weaker)
      def self.of(kind:, design:, graded: 0)
        return none(NOT_A_STUDY[design.key]) if NOT_A_STUDY.key?(design.key)
        return none("Say on Ask what kind of question this is.") unless kind

        table = TABLE[kind]
        return none("The 2011 table does not cover this kind of question.") unless table

        number = table[design.key]
        return none("The 2011 table does not place this design for this kind of question.") unless number

        new(number: (number + graded).clamp(1, 5), why: "OCEBM 2011")
      end

      # The study types of the library from the strongest for a kind of question to the weakest;
      # those that the table does not place come last, in the order of Design::ALL. kind :: a
      # Question::Kind key or nil
      def self.types(kind)
        table = TABLE.fetch(kind, TREATMENT)
        designs = Design::ALL.sort_by.with_index { |design, place| [table.fetch(design.key, table.size), place] }
        designs.flat_map(&:types)
      end

      def self.none(why) = new(number: nil, why:)
      private_class_method :none

      def to_s = number ? "Level #{number}" : "No level"
    end
  end
end
