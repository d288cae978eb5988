# frozen_string_literal: true

module Hobrin
  module Demo
    # Titles and abstracts of made-up studies, by design. Every number in a results sentence is
    # worked out from the ones before it, so that they agree with each other.
    module Texts
      # title, abstract :: Strings; types :: study types
      class Text < Value
        attributes :title, :abstract, :types
      end

      MAKERS = { accuracy: Accuracy, review: Review, survey: Survey, qualitative: Interviews,
                 **%i[trial controlled cohort case_control before_after cost].product([Comparison]).to_h }.freeze
      private_constant :MAKERS

      # design :: a key of Designs::TYPES; people, intervention, outcome :: parts from topics.yml.
      #   Gives a Text.
      def self.of(design, people:, intervention:, outcome:, random:)
        MAKERS.fetch(design, Short).new(design, people:, intervention:, outcome:, random:).call
      end
    end
  end
end
