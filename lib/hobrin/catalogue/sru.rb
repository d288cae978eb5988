# frozen_string_literal: true

module Hobrin
  module Catalogue
    # Search/Retrieve via URL, versions 1.2 and 2.0.
    module Sru
      # What is sent to a catalogue: the parameters of one request, for its version.
      module Asking
        class << self
          def explain(version) = version == "2.0" ? { "operation" => "explain" } : plain("explain")

          # query :: CQL as the catalogue reads it; from :: place of the first record, from 1; most ::
          #   records, 0 for the count alone; schema :: short name, or nil for the catalogue's own
          def search(query, version:, from: 1, most: 0, schema: nil)
            asked = { "query" => query, "startRecord" => from.to_s, "maximumRecords" => most.to_s,
                      "recordSchema" => schema }.compact
            return { "queryType" => "cql", "recordXMLEscaping" => "xml", **asked } if version == "2.0"

            { **plain("searchRetrieve"), "recordPacking" => "xml", **asked }
          end

          private

          def plain(operation) = { "operation" => operation, "version" => "1.2" }
        end
      end

      # A catalogue's answer to a search.
      #
      # count :: records found, nil when it does not say; records :: Array of the text of each
      #   record's own element; following :: place of the next record, nil at the end; troubles ::
      #   Array of Trouble
      class Answer < Value
        attributes :count, :records, :following, :troubles

        # A diagnostic. number :: of the list of SRU, or nil; words :: in the catalogue's own words
        class Trouble < Value
          attributes :number, :words, :details

          def to_s
            [words, details].reject(&:empty?).join(": ") + (number ? Book.t("catalogue.errors.diagnostic", number:) : "")
          end
        end

        MOST_TROUBLES = 20
        private_constant :MOST_TROUBLES

        class << self
          # text :: of the whole answer. Raises InputError (:file) when it is no answer to a search.
          def read(text)
            root = Exchange::Xml.root(text)
            unless %w[searchRetrieveResponse explainResponse scanResponse
                      diagnostics].include?(root.name)
              raise InputError,
                    { file: Book.t("catalogue.errors.not_sru", element: root.name) }
            end

            new(count: number(root, "numberOfRecords"), records: records(root),
                following: number(root, "nextRecordPosition"), troubles: troubles(root))
          end

          private

          def number(root, name)
            Exchange::Xml.said(root,
                               "./#{name}").to_s[/\A\d{1,15}\z/]&.to_i
          end

          # A record comes as elements, or packed as text.
          def records(root)
            root.xpath("./records/record").filter_map do |record|
              data = record.at_xpath("./recordData") or next
              inside = data.elements.first
              next if inside&.name == "diagnostic"

              inside ? inside.to_xml : data.text
            end
          end

          def troubles(root)
            said = ->(node, name) { Exchange::Xml.said(node, "./#{name}").to_s }
            root.xpath("//diagnostic").first(MOST_TROUBLES).map do |diagnostic|
              Trouble.new(number: said[diagnostic, "uri"][/(\d+)\z/, 1]&.to_i, words: said[diagnostic,
                                                                                           "message"],
                          details: said[diagnostic, "details"])
            end
          end
        end
      end

      # What is wrong with a request, by the numbers of the list of SRU (info:srw/diagnostic/1).
      #
      # number :: of the list; details :: which of what was sent
      class Diagnostic < Value
        attributes :number, :details

        WORDS = { 1 => "General system error", 4 => "Unsupported operation",
                  5 => "Unsupported version",
                  6 => "Unsupported parameter value", 7 => "Mandatory parameter not supplied",
                  10 => "Query syntax error", 16 => "Unsupported index",
                  19 => "Unsupported relation",
                  20 => "Unsupported relation modifier",
                  46 => "Unsupported boolean modifier", 51 => "Result set does not exist",
                  61 => "First record position out of range",
                  66 => "Unknown schema for retrieval",
                  71 => "Unsupported record packing", 80 => "Sort not supported",
                  120 => "Response position out of range" }.freeze
        private_constant :WORDS

        # Raised where a request cannot be answered; carries the diagnostic.
        class Told < StandardError
          attr_reader :diagnostic

          def initialize(diagnostic)
            @diagnostic = diagnostic
            super(diagnostic.words)
          end
        end

        def self.tell(number, details) = raise(Told, new(number:, details:))

        def words = WORDS.fetch(number)
      end
    end
  end
end
