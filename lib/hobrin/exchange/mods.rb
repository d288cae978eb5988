# frozen_string_literal: true

module Hobrin
  module Exchange
    # MODS, the Metadata Object Description Schema (Library of Congress, version 3.8).
    module Mods
      NAME = "MODS"
      EXTENSION = "mods"
      TYPE = "application/mods+xml"
      NAMESPACE = "http://www.loc.gov/mods/v3"
      SCHEMA = "mods"
      SCHEMA_URI = "info:srw/schema/1/mods-v3.8"

      # What marks a subject as a main topic, and who names our headings.
      MAIN = Book.t("exports.exchange.mods.main_topic")
      AUTHORITY = "local"
      private_constant :MAIN, :AUTHORITY

      Entries = Xml::Entries.new("mods")

      # Reads one record of MODS.
      class Reader
        def needs?(_entry) = false

        # text :: one record. Gives a Records::Record. Raises InputError, ArgumentError without a
        #   title.
        def call(text)
          node = Xml.root(text)
          title, doi = title(node), Xml.said(node, "./identifier[@type='doi']")
          Records::Record.new(
            id: Entry::Identity.of(Xml.said(node, "./recordInfo/recordIdentifier"), doi, title,
                                   date(node)), title:, doi:,
            abstract: Xml.said(node, "./abstract"), authors: authors(node), published: date(node),
            language: language(node), keywords: keywords(node), headings: headings(node),
            types: types(node),
            links: Xml.all(node, "./location/url"), flags: flags(node), **host(node)
          )
        end

        private

        def title(node)
          info = node.at_xpath("./titleInfo[not(@type)]") || node.at_xpath("./titleInfo") or return
          first = [Xml.said(info, "./nonSort"), Xml.said(info, "./title")].compact.join(" ")
          [first, Xml.said(info, "./subTitle")].compact.reject(&:empty?).join(": ")
        end

        def date(node)
          said = %w[dateIssued copyrightDate dateCreated].flat_map do |name|
            Xml.all(node,
                    "./originInfo/#{name}") + Xml.all(node,
                                                      "./relatedItem[@type='host']/originInfo/#{name}")
          end
          [*said, *Xml.all(node, "./relatedItem[@type='host']/part/date")].filter_map { |text| Published.of(text) }.max_by(&:size)
        end

        def language(node)
          Xml.all(node, "./language/languageTerm").filter_map { |term| Records::Languages.code(term) }.first
        end

        def authors(node)
          node.xpath("./name[not(@type) or @type='personal']").filter_map do |name|
            family, given, suffix = %w[family given termsOfAddress].map do |type|
              Xml.all(name, "./namePart[@type='#{type}']").join(" ")
            end
            family, given = Xml.said(name, "./namePart[not(@type)]").to_s.split(/\s*,\s*/, 2) if family.empty?
            next if family.to_s.empty?

            Records::Author.new(family:, given: (given unless given.to_s.empty?),
                                suffix: (suffix unless suffix.empty?))
          end
        end

        # A subject that names who says so is a heading; one that names nobody is a keyword.
        def headings(node)
          subjects(node, true).map do |subject|
            label, *aspects = Xml.all(subject, "./topic")
            Records::Indexing.new(label:, main: subject["displayLabel"] == MAIN, aspects:)
          end
        end

        def keywords(node)
          subjects(node, false).flat_map { |subject| Xml.all(subject, "./topic") }
        end

        def subjects(node, headings)
          node.xpath("./subject[topic]").select { |subject| !subject["authority"].nil? == headings }
        end

        def types(node) = Xml.all(node, "./genre").map(&:downcase) & Records::StudyTypes::ALL

        def flags(node)
          Xml.all(node, "./note").include?("Retracted") ? [Records::Flags::RETRACTED] : []
        end

        def host(node)
          item = node.at_xpath("./relatedItem[@type='host']") or return {}
          numbers = %w[volume issue].to_h do |name|
            [name.to_sym, Xml.said(item, "./part/detail[@type='#{name}']/number")]
          end
          { journal: Xml.said(item, "./titleInfo/title"), pages: pages(item), **numbers }
        end

        def pages(item)
          ends = %w[start end].filter_map { |name| Xml.said(item, "./part/extent[@unit='pages']/#{name}") }
          ends.join("-") if ends.any?
        end
      end

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
