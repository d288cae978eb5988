# frozen_string_literal: true

module Hobrin
  module Exchange
    # A brief for other programs, as a bundle of FHIR R5 (HL7, 2023): a Citation for each kept
    # paper, an ArtifactAssessment for each weighed one, an EvidenceVariable for each element and
    # outcome, an Evidence for each outcome, and an EvidenceReport that holds them together. Codes
    # are those of the value sets that the resources name; their meanings are from memory of the
    # standard.
    module Fhir
      TYPE = "application/fhir+json"

      # material :: Report::Material. Gives JSON text.
      def self.write(material)
        parts = [Citations, Variables, Findings, Assessments, Summary]
        entries = parts.flat_map { |part| part.new(material).call }
        JSON.pretty_generate({ resourceType: "Bundle", type: "collection", meta: meta(material),
                               timestamp: "#{material.brief.searched_on.iso8601}T00:00:00Z",
                               entry: entries.map { |entry| { fullUrl: "urn:uuid:#{entry.fetch(:id)}", resource: entry } } })
      end

      # Made-up data is marked as such in every resource: HTEST says that it is test data, in the
      # words of the standard.
      def self.meta(material)
        return {} unless material.sample

        { tag: [{ system: "http://terminology.hl7.org/CodeSystem/v3-ActReason", code: "HTEST",
                  display: "test health data" }] }
      end
    end
  end
end
