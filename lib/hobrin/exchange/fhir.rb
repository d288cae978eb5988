# frozen_string_literal: true

require "digest"

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

      # The EvidenceReport that holds the others together: what the brief says, and on what it
      # rests.
      class Summary < Resources
        # By the letter of an element.
        CHARACTERISTICS = { "P" => "population", "I" => "exposure", "C" => "comparator",
                            "O" => "outcome" }.freeze
        private_constant :CHARACTERISTICS

        # Gives it alone in an Array, as the others do.
        def call = [report]

        def report
          resource(
            "EvidenceReport", "report",
            status: status, subject: { characteristic: characteristics }, section: sections,
            author: material.acting.signed.map { |signature| { name: signature.name } },
            note: material.sample ? [{ text: Report::SAMPLE }] : nil
          )
        end

        private

        def characteristics
          system = "http://hl7.org/fhir/focus-characteristic-code"
          question.elements.reject(&:blank?).map do |element|
            code = CHARACTERISTICS[element.letter]
            { code: code ? coded(system, code) : said(element.slot.name),
              valueReference: reference("element #{element.key}", element.name) }
          end
        end

        def sections
          [{ title: Book.t("exports.fhir.what_evidence_says"), text: narrative(material.brief.conclusion) },
           *section(Book.t("exports.fhir.summary"), material.table.rows.map(&:outcome), "evidence") do |outcome|
             [outcome.id, outcome.name]
           end,
           *section(Book.t("exports.fhir.papers"), material.brief.rows.map(&:record), "citation") { |record| [record.id, record.title] },
           *section(Book.t("exports.fhir.appraisal"), material.brief.rows.select(&:paper).map(&:record),
                    "assessment") { |record| [record.id, record.title] }]
        end

        def section(title, things, name, &block)
          return [] if things.empty?

          [{ title:, entryReference: things.map(&block).map { |id, display| reference("#{name} #{id}", display) } }]
        end

        def narrative(text)
          text = Book.t("exports.fhir.not_written") if text.empty?
          inside = ERB::Util.html_escape(text)
          { status: "generated", div: %(<div xmlns="http://www.w3.org/1999/xhtml">#{inside}</div>) }
        end
      end

      # A Citation for each kept paper.
      class Citations < Resources
        def call
          material.brief.rows.map(&:record).zip(material.references).map do |record, line|
            citation(record, line)
          end
        end

        private

        def citation(record, line)
          resource(Book.t("exports.fhir.citation"), "citation #{record.id}",
                   status: "active", title: record.title, experimental: material.sample,
                   summary: [{ text: line }], citedArtifact: artifact(record))
        end

        def artifact(record)
          abstract = { text: record.abstract } if record.abstract
          parts = { identifier: [identifier(record)], title: [{ text: record.title }],
                    currentState: [(retracted if record.retracted?)].compact,
                    abstract: [abstract].compact, publicationForm: [form(record)],
                    contributorship: authors(record) }
          parts.compact.reject { |_, part| part == [] }
        end

        def identifier(record)
          record.doi ? { system: "https://doi.org", value: record.doi } : { value: record.id }
        end

        def retracted = coded("http://hl7.org/fhir/cited-artifact-status-type", "retracted")

        def form(record)
          { publishedIn: ({ title: record.journal } if record.journal), volume: record.volume, issue: record.issue,
            articleDate: record.published, pageString: record.pages }.compact
        end

        def authors(record)
          return if record.authors.empty?

          { summary: [{ value: record.authors.map(&:short).join(", ") }] }
        end
      end

      # An ArtifactAssessment for each weighed paper: how it was made, its level, what is concerning
      # in it, and what it found in one sentence.
      class Assessments < Resources
        CONCERNS = { low: "no-concern", some: "serious-concern",
                     high: "very-serious-concern" }.freeze
        private_constant :CONCERNS

        def call = material.brief.rows.select(&:paper).map { |row| assessment(row) }

        private

        def assessment(row)
          resource(
            "ArtifactAssessment", "assessment #{row.record.id}",
            title: row.record.title, date: today, content: content(row),
            artifactReference: reference("citation #{row.record.id}", row.record.title)
          )
        end

        def content(row)
          [comment(Book.t("exports.fhir.design"), row.design&.name), comment(Book.t("exports.fhir.level"), row.level&.to_s), concern(row),
           comment(Book.t("exports.fhir.finding"), row.paper.finding)].compact
        end

        def comment(kind, text)
          { informationType: "comment", type: said(kind), summary: text } unless text.to_s.strip.empty?
        end

        def concern(row)
          worst = row.paper.concern(question.kind) or return
          code = CONCERNS.fetch(worst)
          { informationType: "rating", type: coded("http://hl7.org/fhir/certainty-type", "RiskOfBias"),
            classifier: [coded("http://hl7.org/fhir/certainty-rating", code)] }
        end
      end

      # An EvidenceVariable for each element of the question, for each group that was compared, and for
      # each outcome.
      class Variables < Resources
        def call
          elements = question.elements.reject(&:blank?).map do |element|
            variable("element #{element.key}", element.name, element.slot.name)
          end
          outcomes = material.table.rows.map(&:outcome)
          better = Appraisal::Outcome::BETTER
          elements + arms + outcomes.map { |outcome| variable("outcome #{outcome.id}", outcome.name, better.fetch(outcome.better)) }
        end

        private

        # The groups that the outcomes compare, each name once.
        def arms
          pools = material.table.rows.map(&:pool).select { |pool| pool.outcome.sort.compares? }
          pools.flat_map { |pool| [pool.arms.intervention_name, pool.arms.comparison_name] }.uniq
               .map { |name| variable("arm #{name}", name, Book.t("exports.fhir.group")) }
        end

        def variable(name, title, description)
          resource("EvidenceVariable", name, status: status, title:, description:, date: today,
                                             experimental: material.sample)
        end
      end
    end
  end
end
