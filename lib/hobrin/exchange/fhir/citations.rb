# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
      # A Citation for each kept paper.
      class Citations < Resources
        def call
          material.brief.rows.map(&:record).zip(material.references).map do |record, line|
            citation(record, line)
          end
        end

        private

        def citation(record, line)
          resource("Citation", "citation #{record.id}",
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
    end
  end
end
