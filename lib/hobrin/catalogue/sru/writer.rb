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
          inside = [x.value("numberOfRecords", count), *(x.tag("records",
                                                               given.join) if given.any?),
                    *(x.value("nextRecordPosition",
                              following) if records.any? && following <= count)]
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
          told = x.tag("diagnostic", x.value("uri",
                                             "info:srw/diagnostic/1/#{diagnostic.number}") +
                                     x.value("details", diagnostic.details) + x.value("message",
                                                                                      diagnostic.words),
                       xmlns: DIAGNOSTIC.fetch(@version))
          count = operation == :search ? x.value("numberOfRecords", 0) : ""
          name = { search: "searchRetrieveResponse", scan: "scanResponse" }.fetch(operation,
                                                                                  "explainResponse")
          whole(name, operation == :scan ? SCAN : NAMESPACES, count + x.tag("diagnostics", told))
        end

        private

        def x = Exchange::Xml

        def whole(name, namespaces, inside)
          version = @version == "1.2" ? x.value("version", "1.2") : ""
          "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n#{x.tag(name, version + inside,
                                                               xmlns: namespaces.fetch(@version))}"
        end

        def schema(uri, packing = "xml")
          x.value("recordSchema",
                  uri) + x.value(@version == "2.0" ? "recordXMLEscaping" : "recordPacking",
                                 packing)
        end

        def record(record, question, place, sample)
          text = question.schema::Writer.item(record, sample:)
          data = x.tag("recordData", question.packed ? x.text(text) : text)
          x.tag("record", schema(question.schema::SCHEMA_URI,
                                 question.packed ? "string" : "xml") + data +
                          x.value("recordPosition", place))
        end
      end
    end
  end
end
