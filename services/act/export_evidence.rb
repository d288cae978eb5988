# frozen_string_literal: true

module Hobrin
  module Services
    # The kept papers of an inquiry as a file in an open format.
    class ExportEvidence
      # By the ending of the file's name.
      FORMATS = Exchange::FORMATS.values.to_h { |format| [format::EXTENSION, format] }.freeze

      def initialize(context)
        @context = context
      end

      # extension :: "ris", "bib", or "json" for CSL-JSON. Raises GoneError for another one, or an
      #   unknown inquiry.
      def call(id, extension)
        format = FORMATS.fetch(extension) { raise GoneError, "format" }
        saved = @context.inquiries.find(id)
        records = @context.library.records_by_id(saved.inquiry.kept_ids)
        Download.new(name: "hobrin-#{id}-evidence.#{extension}", type: format::TYPE,
                     body: format::Writer.call(records, sample: @context.snapshot.sample?))
      end
    end
  end
end
