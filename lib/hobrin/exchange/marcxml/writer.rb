# frozen_string_literal: true

module Hobrin
  module Exchange
    module Marcxml
      # Records as MARCXML.
      module Writer
        # Articles in a serial, as text; nothing that no record of ours says.
        LEADER = "00000nab a2200000   4500"
        private_constant :LEADER

        class << self
          # Array of Record in; one String out. sample :: marks each record as made up.
          def call(records, sample: false) = "".dup.tap { |text| stream(records, text, sample:) }

          # As `call`, bit by bit. records :: any Enumerable of Record; out :: whatever takes <<
          def stream(records, out, sample: false)
            items = records.lazy.map { |record| item(record, sample:, namespace: nil) }
            Xml.stream(items, out, "collection", NAMESPACE)
          end

          # One record, as an element.
          def item(record, sample: false, namespace: NAMESPACE)
            fields = [Xml.tag("leader", LEADER), control("001", record.id), control("008",
                                                                                    fixed(record)),
                      *about(record), *people(record), *where(record), *subjects(record),
                      *notes(record, sample)]
            Xml.tag("record", fields.join, xmlns: namespace)
          end

          private

          def control(tag, value) = Xml.value("controlfield", value, tag:)

          def field(tag, parts, ind1: " ", ind2: " ")
            inside = parts.flat_map do |code, values|
              Array(values).map { |value| Xml.value("subfield", value, code:) }
            end
            inside.join.empty? ? "" : Xml.tag("datafield", inside.join, tag:, ind1:, ind2:)
          end

          # Forty places: of them the year and the language.
          def fixed(record)
            year = record.year || "||||"
            "||||||s#{year}#{" " * 24}#{record.language || "und"}||"
          end

          def about(record)
            [field("024", { a: record.doi, 2 => ("doi" if record.doi) }, ind1: "7"), field("041",
                                                                                           { a: record.language }),
             field("245", { a: record.title }), field("264", { c: record.published }, ind2: "1"),
             field("520", { a: record.abstract })]
          end

          def people(record)
            record.authors.each_with_index.map do |author, place|
              name = [author.family, author.given_and_particle].compact.join(", ")
              field(place.zero? ? "100" : "700", { a: name, c: author.suffix }, ind1: "1")
            end
          end

          def where(record)
            said = { "vol." => record.volume, "no." => record.issue,
                     "p." => record.pages }.compact
            [field("773", { t: record.journal, g: said.map { |word, value| "#{word} #{value}" }.join(", ") }, ind1: "0"),
             *record.links.map { |link| field("856", { u: link }, ind1: "4") }]
          end

          # One field for each heading; a second indicator of 4 names no thesaurus.
          def subjects(record)
            headings = record.headings.map do |heading|
              field("650", { a: heading.label, x: heading.aspects }, ind1: heading.main ? "1" : "2",
                                                                     ind2: "4")
            end
            [*headings, *record.keywords.map { |word| field("653", { a: word }) },
             *record.types.map { |type| field("655", { a: type }, ind2: "4") }]
          end

          def notes(record, sample)
            [*(field("500", { a: "Retracted" }) if record.retracted?),
             *(field("500", { a: SAMPLE_NOTE }) if sample)]
          end
        end
      end
    end
  end
end
