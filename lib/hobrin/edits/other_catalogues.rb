# frozen_string_literal: true

module Hobrin
  module Edits
    # What is recorded of the same search in other catalogues.
    module OtherCatalogues
      # Writes down that another catalogue was asked, and what it was asked; the last time of each
      # counts.
      #
      # search :: Narrowing::State::ExternalSearch
      class RecordSearch < Edit
        STEP = :narrow
        attributes :search

        def call(inquiry, _surroundings)
          others = inquiry.elsewhere.reject { |asked| asked.source == search.source }
          before = inquiry.elsewhere.find { |asked| asked.source == search.source }
          Change.new(inquiry: inquiry.with(elsewhere: [*others, search]), kind: :asked_elsewhere,
                     facts: { source: search.source, count: search.count, before: before&.count, query: search.query })
        end
      end

      # Writes down that records of another catalogue are brought in by what it was asked.
      #
      # source :: its name; import_id :: of the import; most :: records at most
      class BringIn < Edit
        STEP = :narrow
        attributes :source, :import_id, :most

        # Raises GoneError when it was never asked.
        def call(inquiry, _surroundings)
          asked = inquiry.elsewhere.find do |search|
            search.source == source
          end or raise GoneError, "catalogue"
          changed = inquiry.elsewhere.map { |search| search.equal?(asked) ? search.with(import_id:) : search }
          Change.new(inquiry: inquiry.with(elsewhere: changed), kind: :brought_from_elsewhere,
                     facts: { source:, most: })
        end
      end
    end
  end
end
