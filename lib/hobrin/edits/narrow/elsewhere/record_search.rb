# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Writes down that another catalogue was asked, and what it was asked; the last time of each
      # counts.
      #
      # search :: Narrowing::Elsewhere
      class RecordSearch < Edit
        STEP = :narrow
        attributes :search

        def call(inquiry, _surroundings)
          others = inquiry.elsewhere.reject { |one| one.source == search.source }
          before = inquiry.elsewhere.find { |one| one.source == search.source }
          Change.new(inquiry: inquiry.with(elsewhere: [*others, search]), kind: :asked_elsewhere,
                     facts: { source: search.source, count: search.count, before: before&.count, query: search.query })
        end
      end
    end
  end
end
