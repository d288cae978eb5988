# frozen_string_literal: true

module Hobrin
  module Exchange
    # MARC 21 bibliographic records as XML (Library of Congress, MARCXML schema 1.2), as catalogues
    # of libraries give them.
    module Marcxml
      NAME = "MARCXML"
      EXTENSION = "marcxml"
      TYPE = "application/marcxml+xml"
      NAMESPACE = "http://www.loc.gov/MARC21/slim"
      # Short name and identifier of its schema in SRU.
      SCHEMA = "marcxml"
      SCHEMA_URI = "info:srw/schema/1/marcxml-v1.1"

      Entries = Xml::Entries.new("record")

      # Reads one MARC record. Fields: 001 and 024 what it is called, 041 and 008 language, 100 and
      # 700 authors, 245 title, 260 and 264 date, 520 abstract, 650 headings, 653 keywords, 655
      # kinds of work, 773 where it appeared, 856 links.
      class Reader
        ENDING = %r{\s*[/:;,.]\s*\z}
        # What stands after a comma in a name and is no given name.
        PLACE_OF_LANGUAGE = (35..37)
        MAIN = "1"
        private_constant :ENDING, :PLACE_OF_LANGUAGE, :MAIN

        def needs?(_entry) = false

        # text :: one record. Gives a Records::Record. Raises InputError, ArgumentError without a
        #   title.
        def call(text)
          node = Xml.root(text)
          title = title(node)
          doi = doi(node)
          Records::Record.new(
            id: Entry::Identity.of(control(node, "001"), doi, title, date(node)), title:, doi:,
            abstract: one(node, "520", "a"), authors: authors(node), published: date(node),
            language: language(node), keywords: every(node, "653", "a"),
            headings: headings(node), types: types(node), links: every(node, "856", "u"),
            flags: flags(node), **host(node)
          )
        end

        private

        def control(node, tag) = Xml.said(node, "./controlfield[@tag='#{tag}']")
        def fields(node, tag) = node.xpath("./datafield[@tag='#{tag}']")
        def parts(field, code) = Xml.all(field, "./subfield[@code='#{code}']")

        def every(node, tag, code) = fields(node, tag).flat_map { |field| parts(field, code) }
        def one(node, tag, code) = every(node, tag, code).first

        # By the rules of cataloguing a sign stands at the end where something follows, here who is
        # responsible; otherwise it belongs to the title.
        def title(node)
          field = fields(node, "245").first or return
          text = [*parts(field, "a"), *parts(field, "b")].join(" ")
          parts(field, "c").any? ? text.sub(ENDING, "") : text
        end

        def doi(node)
          field = fields(node, "024").find do |field|
            parts(field, "2").any? { |kind| kind.casecmp?("doi") }
          end
          field && parts(field, "a").first
        end

        def date(node)
          %w[264 260].each do |tag|
            found = Published.of(one(node, tag, "c").to_s)
            return found if found
          end
          Published.of(control(node, "008").to_s[7, 4])
        end

        def language(node)
          Records::Languages.code(one(node, "041",
                                      "a") || control(node, "008").to_s[PLACE_OF_LANGUAGE])
        end

        def authors(node)
          %w[100 700].flat_map { |tag| fields(node, tag) }.filter_map do |field|
            name = parts(field, "a").first or next
            family, given = name.sub(/\s*,\s*\z/, "").split(/\s*,\s*/, 2)
            Records::Author.new(family:, given:, suffix: parts(field, "c").first)
          end
        end

        # The second indicator of 650 says which thesaurus, the first how much it matters: 1 is
        # main.
        def headings(node)
          found = fields(node, "650").filter_map do |field|
            label = parts(field, "a").first&.sub(/\.\z/, "") or next
            Records::Indexing.new(label:, main: field["ind1"] == MAIN, aspects: parts(field, "x"))
          end
          found.group_by(&:label).map do |label, same|
            Records::Indexing.new(label:, main: same.any?(&:main),
                                  aspects: same.flat_map(&:aspects).uniq)
          end
        end

        def types(node)
          fields(node, "655").flat_map { |field| parts(field, "a") }.map { |text| text.downcase.sub(/\.\z/, "") } &
            Records::StudyTypes::ALL
        end

        def flags(node)
          one(node, "500", "a") == "Retracted" ? [Records::Flags::RETRACTED] : []
        end

        # "Vol. 4, no. 2 (2021), p. 12-19" in many ways: the first numbers that stand behind each.
        def host(node)
          said = one(node, "773", "g").to_s
          { journal: one(node, "773", "t"),
            volume: said[/\bvol(?:ume|\.)?\s*([\w-]+)/i, 1],
            issue: said[/\b(?:no|issue|nr)\.?\s*([\w-]+)/i, 1],
            pages: said[/\bp(?:p|ages)?\.?\s*([\w–-]+)/i, 1] }
        end
      end

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
