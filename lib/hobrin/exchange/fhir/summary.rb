# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
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
            author: material.acting.signed.map { |one| { name: one.name } },
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
          [{ title: "What the evidence says", text: narrative(material.brief.conclusion) },
           *section("Table of findings", material.table.rows.map(&:outcome), "evidence") { |one| [one.id, one.name] },
           *section("Papers", material.brief.rows.map(&:record), "citation") { |one| [one.id, one.title] },
           *section("How they were weighed", material.brief.rows.select(&:paper).map(&:record),
                    "assessment") { |one| [one.id, one.title] }]
        end

        def section(title, things, name, &block)
          return [] if things.empty?

          [{ title:, entryReference: things.map(&block).map { |id, display| reference("#{name} #{id}", display) } }]
        end

        def narrative(text)
          text = "Not written yet." if text.empty?
          inside = ERB::Util.html_escape(text)
          { status: "generated", div: %(<div xmlns="http://www.w3.org/1999/xhtml">#{inside}</div>) }
        end
      end
    end
  end
end
