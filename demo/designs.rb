# frozen_string_literal: true

module Hobrin
  module Demo
    # The designs of the made-up studies: which types they carry and how common they are.
    module Designs
      TYPES = {
        trial: ["randomized controlled trial"], controlled: ["controlled trial"], cohort: ["cohort study"],
        case_control: ["case-control study"], before_after: ["before-and-after study"],
        survey: ["cross-sectional study"], qualitative: ["qualitative study"], review: ["systematic review"],
        narrative: ["narrative review"], cost: ["cost analysis"], case_report: ["case report"],
        editorial: ["editorial"], letter: ["letter"], protocol: ["protocol"], guideline: ["guideline"],
        accuracy: ["diagnostic accuracy study"]
      }.freeze
      # Of a hundred papers; accuracy only where a topic asks for it.
      SHARES = { trial: 17, controlled: 6, cohort: 18, case_control: 3, before_after: 13, survey: 11, qualitative: 9,
                 review: 7, narrative: 5, cost: 1, case_report: 3, editorial: 2, letter: 1, protocol: 3,
                 guideline: 1 }.freeze
      # What counts as a research article.
      RESEARCH = %i[trial controlled cohort case_control before_after survey qualitative review
                    cost accuracy].freeze
      # Of these, most have no abstract.
      BRIEF = %i[editorial letter].freeze
      # Headings about how a study was done.
      METHODS = { trial: ["Trials"], survey: ["Surveys"], accuracy: ["Accuracy of Tests"], cost: ["Costs"],
                  qualitative: ["Interviews", "Experience of Illness", "Experience of Nurses"],
                  before_after: ["Quality Improvement"], guideline: ["Evidence-Based Practice"] }.freeze
    end
  end
end
