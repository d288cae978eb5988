# frozen_string_literal: true

module Hobrin
  module Appraisal
    # How a study was made, as far as the level of evidence and the appraisal sheet need to know.
    class Design < Value
      attributes :key, :name, :types, :sheet

      # types :: study types of the library that propose this design; sheet :: key of its
      #   Checklists::Sheet
      def initialize(key:, name:, types: [], sheet: :any)
        @key = key
        @name = name
        @types = types
        @sheet = sheet
        freeze
      end

      # From the strongest claim of a label down: the first whose type a record carries is proposed.
      ALL = [
        new(key: "guideline", name: "Guideline", types: ["guideline"], sheet: :guideline),
        new(key: "systematic_review", name: "Systematic review", types: ["systematic review", "meta-analysis"],
            sheet: :review),
        new(key: "protocol", name: "Protocol, no results yet", types: ["protocol"]),
        new(key: "randomized_trial", name: "Randomized trial",
            types: ["randomized controlled trial"], sheet: :trial),
        new(key: "diagnostic", name: "Test against a reference standard, same people",
            types: ["diagnostic accuracy study"],
            sheet: :diagnosis),
        new(key: "controlled_trial", name: "Controlled trial, not randomized", types: ["controlled trial"],
            sheet: :comparison),
        new(key: "inception_cohort", name: "Cohort followed from the start of the condition",
            sheet: :cohort),
        new(key: "cohort", name: "Cohort study", types: ["cohort study"], sheet: :cohort),
        new(key: "case_control", name: "Case-control study", types: ["case-control study"],
            sheet: :cohort),
        new(key: "nested_case_control", name: "Case-control study nested in a cohort", sheet: :cohort),
        new(key: "before_after", name: "Before-and-after study, earlier patients as comparison",
            types: ["before-and-after study"],
            sheet: :before_after),
        new(key: "cross_sectional", name: "Cross-sectional study",
            types: ["cross-sectional study"], sheet: :survey),
        new(key: "qualitative", name: "Qualitative study", types: ["qualitative study"],
            sheet: :qualitative),
        new(key: "cost", name: "Economic evaluation", types: ["cost analysis"], sheet: :economic),
        new(key: "case_series", name: "Case report or series", types: ["case report"],
            sheet: :series),
        new(key: "mechanism", name: "Reasoning from mechanism, or animals"),
        new(key: "opinion", name: "Opinion, editorial or unsystematic review",
            types: ["editorial", "letter", "narrative review"])
      ].freeze

      # Raises InputError (:design) for an unknown key.
      def self.fetch(key)
        ALL.find { |design| design.key == key } or raise InputError, { design: "Choose how the study was made." }
      end

      # The design that a record's labels point to; nil when they say nothing.
      def self.proposed(record)
        return fetch("mechanism") if record.species.include?("animals") && !record.species.include?("humans")

        ALL.find { |design| design.types.intersect?(record.types) }
      end
    end
  end
end
