# frozen_string_literal: true

module Hobrin
  module Exchange
    module Mods
      # Records as MODS.
      module Writer
        ISO = "iso639-2b"
        private_constant :ISO

        class << self
          # Array of Record in; one String out. sample :: marks each record as made up.
          def call(records, sample: false) = "".dup.tap { |text| stream(records, text, sample:) }

          # As `call`, bit by bit. records :: any Enumerable of Record; out :: whatever takes <<
          def stream(records, out, sample: false)
            items = records.lazy.map { |record| item(record, sample:, namespace: nil) }
            Xml.stream(items, out, "modsCollection", NAMESPACE)
          end

          # One record, as an element.
          def item(record, sample: false, namespace: NAMESPACE)
            parts = [Xml.tag("titleInfo", Xml.value("title", record.title)), *people(record),
                     *record.types.map { |type| Xml.value("genre", type) }, *origin(record),
                     within("language", Xml.value("languageTerm", record.language, type: "code",
                                                                                   authority: ISO)),
                     Xml.value("abstract", record.abstract), *notes(record, sample),
                     *subjects(record), host(record),
                     Xml.value("identifier", record.doi, type: "doi"),
                     *record.links.map { |link| Xml.tag("location", Xml.value("url", link)) },
                     Xml.tag("recordInfo", Xml.value("recordIdentifier", record.id))]
            Xml.tag("mods", parts.join, xmlns: namespace, version: "3.8")
          end

          private

          def within(name, inside, **attributes)
            inside.empty? ? "" : Xml.tag(name, inside, **attributes)
          end

          def people(record)
            record.authors.map do |author|
              parts = { family: author.family, given: author.given_and_particle,
                        termsOfAddress: author.suffix }
              Xml.tag("name", parts.map { |type, text| Xml.value("namePart", text, type:) }.join, type: "personal")
            end
          end

          def origin(record)
            [within("originInfo", Xml.value("dateIssued", record.published, encoding: "w3cdtf"))]
          end

          def notes(record, sample)
            [*(Xml.value("note", "Retracted") if record.retracted?),
             *(Xml.value("note", SAMPLE_NOTE) if sample)]
          end

          def subjects(record)
            headings = record.headings.map do |heading|
              topics = [heading.label, *heading.aspects].map { |text| Xml.value("topic", text) }.join
              Xml.tag("subject", topics, authority: AUTHORITY, displayLabel: (MAIN if heading.main))
            end
            headings + record.keywords.map { |word| Xml.tag("subject", Xml.value("topic", word)) }
          end

          def host(record)
            within("relatedItem",
                   journal(record) + within("part", place(record)), type: "host")
          end

          def journal(record) = within("titleInfo", Xml.value("title", record.journal))

          def place(record)
            first, last = record.pages.to_s.split(/[-–]/, 2)
            numbers = %i[volume issue].map do |name|
              within("detail", Xml.value("number", record.public_send(name)), type: name)
            end
            [*numbers,
             within("extent", Xml.value("start", first) + Xml.value("end", last),
                    unit: "pages")].join
          end
        end
      end
    end
  end
end
