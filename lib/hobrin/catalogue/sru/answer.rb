# frozen_string_literal: true

module Hobrin
  module Catalogue
    module Sru
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
            [words, details].reject(&:empty?).join(": ") + (number ? " (diagnostic #{number})" : "")
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
                    { file: "This is no answer of a catalogue: it begins with <#{root.name}>." }
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
            root.xpath("//diagnostic").first(MOST_TROUBLES).map do |one|
              Trouble.new(number: said[one, "uri"][/(\d+)\z/, 1]&.to_i, words: said[one,
                                                                                    "message"],
                          details: said[one, "details"])
            end
          end
        end
      end
    end
  end
end
