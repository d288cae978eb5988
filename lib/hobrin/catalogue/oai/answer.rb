# frozen_string_literal: true

module Hobrin
  module Catalogue
    module Oai
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
                    { file: "This is no answer to a harvest: it begins with <#{root.name}>." }
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
    end
  end
end
