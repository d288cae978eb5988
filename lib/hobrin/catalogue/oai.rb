# frozen_string_literal: true

module Hobrin
  module Catalogue
    # The Open Archives Initiative Protocol for Metadata Harvesting, version 2.0.
    module Oai
      NAMESPACE = "http://www.openarchives.org/OAI/2.0/"

      # One answer to ListRecords.
      #
      # records :: Array of Item; token :: where to go on, nil at the end; errors :: Array of [code,
      #   words]
      class Answer < Value
        attributes :records, :token, :errors

        # identifier :: of the item; text :: of the record's own element, nil for one that was deleted
        class Item < Value
          attributes :identifier, :text

          def deleted? = text.nil?
        end

        # What an empty answer is told by; it is no fault.
        NOTHING = "noRecordsMatch"

        class << self
          # Raises InputError (:file) when it is no answer of this protocol.
          def read(text)
            root = Exchange::Xml.root(text)
            unless root.name == "OAI-PMH"
              raise InputError,
                    { file: Book.t("catalogue.errors.not_a_harvest", element: root.name) }
            end

            new(records: root.xpath("./ListRecords/record").filter_map { |record| item(record) },
                token: Exchange::Xml.said(root, "./ListRecords/resumptionToken"),
                errors: root.xpath("./error").map do |error|
                  [error["code"].to_s,
                   error.text.strip]
                end
                            .reject { |code, _| code == NOTHING })
          end

          private

          def item(record)
            identifier = Exchange::Xml.said(record, "./header/identifier") or return
            deleted = record.at_xpath("./header[@status='deleted']")
            element = record.at_xpath("./metadata/*")
            Item.new(identifier:, text: deleted || element.nil? ? nil : element.to_xml)
          end
        end
      end

      # Where a harvest goes on: all that was asked, and the number behind which it goes on, in one
      # text that needs no memory here.
      #
      # prefix :: format; from, till :: dates or nil; after :: number of the last record given
      class Token < Value
        attributes :prefix, :from, :till, :after

        SHAPE = /\A(\w{2,10})!([\d:TZ-]{0,20})!([\d:TZ-]{0,20})!(\d{1,15})\z/
        private_constant :SHAPE

        # text :: as it was given out. Gives nil for any other.
        def self.read(text)
          match = SHAPE.match(text.to_s) or return
          from, till = [match[2], match[3]].map { |date| date unless date.empty? }
          new(prefix: match[1], from:, till:, after: match[4].to_i)
        end

        def to_s = [prefix, from, till, after].join("!")
      end

      # Answers of a provider, as XML.
      class Writer
        # A format by its prefix: its module, schema and namespace.
        FORMATS = {
          "oai_dc" => [Exchange::DublinCore, "http://www.openarchives.org/OAI/2.0/oai_dc.xsd",
                       Exchange::DublinCore::OAI],
          "mods" => [Exchange::Mods, "http://www.loc.gov/standards/mods/v3/mods-3-8.xsd",
                     Exchange::Mods::NAMESPACE],
          "marcxml" => [Exchange::Marcxml, "http://www.loc.gov/standards/marcxml/schema/MARC21slim.xsd",
                        Exchange::Marcxml::NAMESPACE]
        }.freeze

        # at :: the time, ISO 8601; address :: of this provider; asked :: Hash of the parameters that
        #   were sent
        def initialize(at:, address:, asked:)
          @at = at
          @address = address
          @asked = asked
        end

        # inside :: markup of what was asked for
        def answer(inside) = whole(asked(**@asked) + x.tag(@asked["verb"], inside))

        # code :: of the protocol. What was asked is not repeated where it could not be understood.
        def error(code, words)
          said = %w[badVerb badArgument].include?(code) ? {} : @asked
          whole(asked(**said) + x.value("error", words, code:))
        end

        # record :: Records::Record
        def record(record, identifier:, stamp:, prefix:, sample:)
          format, = FORMATS.fetch(prefix)
          rest = format == Exchange::DublinCore ? { wrapper: Exchange::DublinCore::OAI } : {}
          metadata = x.tag("metadata", format::Writer.item(record, sample:, **rest))
          x.tag("record", header(identifier, stamp) + metadata)
        end

        def header(identifier, stamp, deleted: false)
          x.tag("header", x.value("identifier", identifier) + x.value("datestamp", stamp),
                status: ("deleted" if deleted))
        end

        def deleted(identifier, stamp) = x.tag("record", header(identifier, stamp, deleted: true))

        private

        def x = Exchange::Xml

        def asked(**params) = x.tag("request", x.text(@address), **params.transform_keys(&:to_sym))

        def whole(inside)
          answer = x.tag("OAI-PMH", x.value("responseDate", @at) + inside, xmlns: NAMESPACE)
          "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n#{answer}"
        end
      end
    end
  end
end
