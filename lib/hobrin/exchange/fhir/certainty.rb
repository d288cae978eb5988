# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
      # How sure an outcome is, with each reason.
      module Certainty
        TYPES = "http://hl7.org/fhir/certainty-type"
        RATINGS = "http://hl7.org/fhir/certainty-rating"
        DOMAINS = { bias: "RiskOfBias", inconsistency: "Inconsistency", indirectness: "Indirectness",
                    imprecision: "Imprecision", unpublished: "PublicationBias", large: "LargeEffect",
                    gradient: "DoseResponseGradient", against: "PlausibleConfounding" }.freeze
        # Of a reason to rate down, and of one to rate up.
        DOWN = { -2 => "very-serious-concern", -1 => "serious-concern", 0 => "no-concern" }.freeze
        UP = { 0 => "no-change", 1 => "upcode1", 2 => "upcode2" }.freeze
        LEVELS = { 4 => "high", 3 => "moderate", 2 => "low", 1 => "very-low" }.freeze
        private_constant :TYPES, :RATINGS, :DOMAINS, :DOWN, :UP, :LEVELS

        class << self
          # certainty :: Appraisal::Certainty. Gives a Hash.
          def of(certainty)
            { description: certainty.start_why, **rated("Overall", LEVELS.fetch(certainty.level)),
              subcomponent: certainty.lines.map { |line| subcomponent(line) } }
          end

          private

          def subcomponent(line)
            why = line.judgement ? line.judgement.why : line.why
            { description: why.to_s.empty? ? nil : why,
              **rated(DOMAINS.fetch(line.domain), (line.up? ? UP : DOWN).fetch(line.steps)) }.compact
          end

          def rated(type, rating)
            { type: { coding: [{ system: TYPES, code: type }] },
              rating: { coding: [{ system: RATINGS, code: rating }] } }
          end
        end
      end
    end
  end
end
