# frozen_string_literal: true

require "digest"

module Hobrin
  module Exchange
    module Fhir
      # What the resources of a bundle have in common.
      class Resources
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
            **rest }.compact.reject do |_, part|
            [{}, []].include?(part)
          end
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
        def today = material.brief.searched_on.iso8601
        # Signed briefs stand; others are drafts.
        def status = material.acting.signed.any? ? "active" : "draft"
      end
    end
  end
end
