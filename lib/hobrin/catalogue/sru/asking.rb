# frozen_string_literal: true

module Hobrin
  module Catalogue
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
    end
  end
end
