# frozen_string_literal: true

module Hobrin
  module Catalogue
    module Sru
      # Our answers, as XML, in either version.
      class Writer
        NAMESPACES = { "1.2" => "http://www.loc.gov/zing/srw/",
                       "2.0" => "http://docs.oasis-open.org/ns/search-ws/sruResponse" }.freeze
        SCAN = { "1.2" => NAMESPACES["1.2"],
                 "2.0" => "http://docs.oasis-open.org/ns/search-ws/scan" }.freeze
        DIAGNOSTIC = { "1.2" => "http://www.loc.gov/zing/srw/diagnostic/",
                       "2.0" => "http://docs.oasis-open.org/ns/search-ws/diagnostic" }.freeze
        EXPLAIN = "http://explain.z3950.org/dtd/2.0/"
        private_constant :NAMESPACES, :SCAN, :DIAGNOSTIC, :EXPLAIN

        # version :: "1.2" or "2.0"
        def initialize(version)
          @version = version
        end

        # record :: the explain record as XML
        def explain(record)
          whole("explainResponse", NAMESPACES,
                x.tag("record", schema(EXPLAIN) + x.tag("recordData", record)))
        end

        # count :: found; records :: Array of Records::Record that are given, the first at place
        #   `from`; schema :: module of a format
        def found(count, records, question, sample:)
          given = records.each_with_index.map do |record, at|
            record(record, question, question.from + at, sample)
          end
          following = question.from + records.size
          more = records.any? && following <= count
          inside = [x.value("numberOfRecords", count), *(x.tag("records", given.join) if given.any?),
                    *(x.value("nextRecordPosition", following) if more)]
          whole("searchRetrieveResponse", NAMESPACES, inside.join)
        end

        # terms :: Array of [value, records]
        def scanned(terms)
          inside = terms.map do |value, count|
            x.tag("term", x.value("value", value) + x.value("numberOfRecords", count))
          end
          whole("scanResponse", SCAN, x.tag("terms", inside.join))
        end

        # diagnostic :: Diagnostic; operation :: that was asked for
        def trouble(diagnostic, operation)
          told = [x.value("uri", "info:srw/diagnostic/1/#{diagnostic.number}"),
                  x.value("details", diagnostic.details), x.value("message", diagnostic.words)]
          told = x.tag("diagnostics", x.tag("diagnostic", told.join, xmlns: DIAGNOSTIC.fetch(@version)))
          case operation
          when :search then whole("searchRetrieveResponse", NAMESPACES, x.value("numberOfRecords", 0) + told)
          when :scan then whole("scanResponse", SCAN, told)
          else whole("explainResponse", NAMESPACES, told)
          end
        end

        private

        def x = Exchange::Xml

        def whole(name, namespaces, inside)
          version = @version == "1.2" ? x.value("version", "1.2") : ""
          answer = x.tag(name, version + inside, xmlns: namespaces.fetch(@version))
          "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n#{answer}"
        end

        def schema(uri, packing = "xml")
          name = @version == "2.0" ? "recordXMLEscaping" : "recordPacking"
          x.value("recordSchema", uri) + x.value(name, packing)
        end

        def record(record, question, place, sample)
          text = question.schema::Writer.item(record, sample:)
          packing = question.packed ? "string" : "xml"
          parts = [schema(question.schema::SCHEMA_URI, packing),
                   x.tag("recordData", question.packed ? x.text(text) : text),
                   x.value("recordPosition", place)]
          x.tag("record", parts.join)
        end
      end
    end
  end
end
