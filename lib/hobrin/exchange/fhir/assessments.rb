# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
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
          [comment("Design", row.design&.name), comment("Level of evidence", row.level&.to_s), concern(row),
           comment("What it found", row.paper.finding)].compact
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
    end
  end
end
