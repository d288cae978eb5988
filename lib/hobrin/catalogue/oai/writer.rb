# frozen_string_literal: true

module Hobrin
  module Catalogue
    module Oai
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
