# frozen_string_literal: true

require "delegate"

module Hobrin
  module Services
    # The library with the papers beside it that stay with one inquiry. They are found by their ids
    # only: no search finds them.
    class LibraryBeside < SimpleDelegator
      # records :: Array of Records::Record
      def initialize(library, records)
        super(library)
        @library = library
        @own = records.to_h { |record| [record.id, record] }
      end

      def record(id) = @library.record(id) || @own[id]

      def records_by_id(ids)
        found = @library.records_by_id(ids).to_h { |record| [record.id, record] }
        ids.filter_map { |id| found[id] || @own[id] }
      end
    end
  end
end
