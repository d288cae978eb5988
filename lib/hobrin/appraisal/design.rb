# frozen_string_literal: true

module Hobrin
  module Appraisal
    # How a study was made, as far as the level of evidence and the appraisal sheet need to know.
    class Design < Value
      attributes :key, :types, :sheet

      # types :: study types of the library that propose this design; sheet :: key of its
      #   Checklists::Sheet
      def initialize(key:, types: [], sheet: :any)
        @key = key
        @types = types
        @sheet = sheet
        freeze
      end

      def name = Book.t("appraisal.design.#{key}")

      # From the strongest claim of a label down: the first whose type a record carries is proposed.
      ALL = [
        new(key: "guideline", types: ["guideline"], sheet: :guideline),
        new(key: "systematic_review", types: ["systematic review", "meta-analysis"],
            sheet: :review),
        new(key: "protocol", types: ["protocol"]),
        new(key: "randomized_trial",
            types: ["randomized controlled trial"], sheet: :trial),
        new(key: "diagnostic",
            types: ["diagnostic accuracy study"],
            sheet: :diagnosis),
        new(key: "controlled_trial", types: ["controlled trial"],
            sheet: :comparison),
        new(key: "inception_cohort",
            sheet: :cohort),
        new(key: "cohort", types: ["cohort study"], sheet: :cohort),
        new(key: "case_control", types: ["case-control study"],
            sheet: :cohort),
        new(key: "nested_case_control", sheet: :cohort),
        new(key: "before_after",
            types: ["before-and-after study"],
            sheet: :before_after),
        new(key: "cross_sectional",
            types: ["cross-sectional study"], sheet: :survey),
        new(key: "qualitative", types: ["qualitative study"],
            sheet: :qualitative),
        new(key: "cost", types: ["cost analysis"], sheet: :economic),
        new(key: "case_series", types: ["case report"],
            sheet: :series),
        new(key: "mechanism"),
        new(key: "opinion",
            types: ["editorial", "letter", "narrative review"])
      ].freeze

      # Raises InputError (:design) for an unknown key.
      def self.fetch(key)
        ALL.find { |design| design.key == key } or raise InputError, { design: Book.t("appraisal.errors.design") }
      end

      # The design that a record's labels point to; nil when they say nothing.
      def self.proposed(record)
        return fetch("mechanism") if record.species.include?("animals") && !record.species.include?("humans")

        ALL.find { |design| design.types.intersect?(record.types) }
      end
    end
  end
end
