# frozen_string_literal: true

module Hobrin
  module Demo
    # Titles and abstracts of made-up studies, by design. Every number in a results sentence is
    # worked out from the ones before it, and the conclusion from the numbers, so that they agree
    # with each other; measures are those of the design.
    module Texts
      # title, abstract :: Strings; types :: study types
      class Text < Value
        attributes :title, :abstract, :types
      end

      MAKERS = { accuracy: Accuracy, review: Review, survey: Survey, qualitative: Interviews,
                 case_control: CaseControl,
                 **%i[trial controlled cohort before_after cost].product([Comparison]).to_h }.freeze
      # How many trials of something that is rated tell means, and how many cohorts hazards.
      RATED = 0.45
      HAZARDS = 0.3
      private_constant :MAKERS, :RATED, :HAZARDS

      class << self
        # design :: a key of Designs::TYPES; people, intervention, outcome :: parts from topics.yml.
        #   Gives a Text.
        def of(design, people:, intervention:, outcome:, random:)
          maker(design, outcome, random).new(design, people:, intervention:, outcome:, random:).call
        end

        private

        def maker(design, outcome, random)
          return Scale if %i[trial controlled].include?(design) && outcome["rated"] && random.rand < RATED
          return Survival if design == :cohort && random.rand < HAZARDS

          MAKERS.fetch(design, Short)
        end
      end
    end
  end
end
