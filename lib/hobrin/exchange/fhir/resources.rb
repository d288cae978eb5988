# frozen_string_literal: true

require "digest"

module Hobrin
  module Exchange
    module Fhir
      # What the resources of a bundle have in common.
      class Resources
        UCUM = "http://unitsofmeasure.org"
        private_constant :UCUM

        # material :: Report::Material
        def initialize(material)
          @material = material
        end

        private

        attr_reader :material

        def question = material.question

        # A resource without its empty parts.
        def resource(type, name, **rest)
          { resourceType: type, id: id(name), meta: Fhir.meta(material),
            **rest }.compact.reject { |_, part| [{}, []].include?(part) }
        end

        # The same id for the same thing each time: a UUID of version 8 from a fingerprint (RFC
        # 9562).
        def id(name)
          digits = Digest::SHA256.hexdigest("#{question.text}\n#{name}")
          [digits[0, 8], digits[8, 4], "8#{digits[12, 3]}", "8#{digits[15, 3]}",
           digits[18, 12]].join("-")
        end

        def reference(name, display) = { reference: "urn:uuid:#{id(name)}", display: }
        def coded(system, code, text = nil) = { coding: [{ system:, code: }], text: }.compact
        def said(text) = { text: }

        # A number with its unit in UCUM. measure :: Appraisal::Outcome::Measure; a difference in
        # the units of a scale has none that is known.
        def quantity(value, measure)
          return per_hundred(value) if measure&.of_hundred?
          return number(value) if measure.nil? || measure.ratio? || measure.key == :standardized

          { value: value.round(6) }
        end

        def number(value) = { value: value.round(6), unit: "1", system: UCUM, code: "1" }
        def per_hundred(value) = { value: value.round(6), unit: "of 100", system: UCUM, code: "/100" }
        def today = material.brief.searched_on.iso8601
        # Signed briefs stand; others are drafts.
        def status = material.acting.signed.any? ? "active" : "draft"
      end
    end
  end
end
