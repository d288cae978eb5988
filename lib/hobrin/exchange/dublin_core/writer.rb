# frozen_string_literal: true

module Hobrin
  module Exchange
    module DublinCore
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
