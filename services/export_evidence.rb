# frozen_string_literal: true

module Hobrin
  module Services
    # The kept papers of an inquiry as a file in an open format.
    class ExportEvidence
      # name :: of the file; type :: its media type; body :: its text
      File = Struct.new(:name, :type, :body, keyword_init: true)

      FORMATS = { "ris" => ["application/x-research-info-systems", Exchange::Ris::Writer],
                  "json" => ["application/vnd.citationstyles.csl+json", Exchange::CslJson::Writer] }.freeze
      private_constant :FORMATS

      def initialize(context)
        @context = context
      end

      # format :: "ris", or "json" for CSL-JSON. Raises GoneError for another one, or an unknown inquiry.
      def call(id, format)
        type, writer = FORMATS.fetch(format) { raise GoneError, "format" }
        saved = @context.inquiries.find(id)
        records = @context.library.records_by_id(saved.inquiry.kept_ids)
        File.new(name: "hobrin-#{id}-evidence.#{format}", type:,
                 body: writer.call(records, sample: @context.library.sample?))
      end
    end
  end
end
