# frozen_string_literal: true

module Hobrin
  module Exchange
    # The fifteen elements of Dublin Core (ISO 15836-1) as XML, in either of the wrappers that are
    # in use: that of OAI-PMH and that of SRU. The least that every catalogue gives.
    module DublinCore
      NAME = "Dublin Core"
      EXTENSION = "dc"
      TYPE = "application/xml"
      NAMESPACE = "http://purl.org/dc/elements/1.1/"
      OAI = "http://www.openarchives.org/OAI/2.0/oai_dc/"
      SRW = "info:srw/schema/1/dc-schema"
      SCHEMA = "dc"
      SCHEMA_URI = "info:srw/schema/1/dc-v1.1"

      Entries = Xml::Entries.new("dc")

      # Reads one record of Dublin Core. What it calls a subject may be a heading or a keyword: it
      # is taken as a keyword, and the thesaurus says which of them are headings.
      class Reader
        DOI = %r{\A(?:doi:\s*|https?://(?:dx\.)?doi\.org/|info:doi/)?(10\.\d{4,9}/\S+)\z}i
        private_constant :DOI

        def needs?(_entry) = false

        # text :: one record. Gives a Records::Record. Raises InputError, ArgumentError without a
        #   title.
        def call(text)
          node = Xml.root(text)
          title = Xml.said(node, "./title")
          identifiers = Xml.all(node, "./identifier")
          doi = identifiers.filter_map { |identifier| identifier[DOI, 1] }.first
          plain = identifiers.grep_v(DOI)
          links, names = plain.partition { |value| value.match?(%r{\Ahttps?://}) }
          Records::Record.new(
            id: Entry::Identity.of(names.first, doi, title, Xml.said(node, "./date")), title:, doi:,
            links:,
            abstract: (Xml.all(node, "./description") - [SAMPLE_NOTE]).first,
            authors: authors(node),
            keywords: Xml.all(node, "./subject"), types: types(node), journal: Xml.said(node,
                                                                                        "./source"),
            published: Xml.all(node, "./date").filter_map { |date| Published.of(date) }.first,
            language: Xml.all(node, "./language").filter_map { |name| Records::Languages.code(name) }.first
          )
        end

        private

        def types(node) = Xml.all(node, "./type").map(&:downcase) & Records::StudyTypes::ALL

        def authors(node)
          Xml.all(node, "./creator").map do |name|
            family, given = name.split(/\s*,\s*/, 2)
            Records::Author.new(family:, given:)
          end
        end
      end

      # Records as Dublin Core.
      module Writer
        class << self
          # Array of Record in; one String out. sample :: marks each record as made up.
          def call(records, sample: false) = "".dup.tap { |text| stream(records, text, sample:) }

          # As `call`, bit by bit. records :: any Enumerable of Record; out :: whatever takes <<
          def stream(records, out, sample: false)
            Xml.stream(records.lazy.map { |record| item(record, sample:) }, out, "records")
          end

          # One record, as an element. wrapper :: OAI or SRW, the namespace of the element around
          def item(record, sample: false, wrapper: SRW)
            inside = values(record, sample).flat_map do |name, all|
              Array(all).compact.map { |value| Xml.value("dc:#{name}", value) }
            end
            prefix = wrapper == OAI ? "oai_dc" : "srw_dc"
            Xml.tag("#{prefix}:dc", inside.join, "xmlns:#{prefix}": wrapper,
                                                 "xmlns:dc": NAMESPACE)
          end

          private

          def values(record, sample)
            { title: record.title, creator: record.authors.map { |author| name(author) },
              subject: record.headings.map(&:label) + record.keywords,
              description: [record.abstract, *(SAMPLE_NOTE if sample)], date: record.published,
              type: record.types, language: record.language, source: record.journal,
              identifier: [record.id, *("doi:#{record.doi}" if record.doi), *record.links] }
          end

          def name(author) = [author.family, author.given_and_particle].compact.join(", ")
        end
      end
    end
  end
end
