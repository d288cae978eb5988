# frozen_string_literal: true

module Hobrin
  module Services
    # Reads records from a CSL-JSON file into the library. It can be run again: what is there stays.
    class ImportRecords
      # added, known :: numbers of records; refused :: Array of Exchange::CslJson::Reader::Refusal
      Outcome = Struct.new(:added, :known, :refused, keyword_init: true)

      def initialize(context)
        @context = context
      end

      # text :: a CSL-JSON document. Raises InputError (:file) when it is none.
      def call(text, sample: false)
        records, refused = Exchange::CslJson::Reader.call(text)
        added = @context.library.add(records, sample:)
        Outcome.new(added:, known: records.size - added, refused:)
      end
    end
  end
end
