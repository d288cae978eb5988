# frozen_string_literal: true

module Hobrin
  module Services
    # The papers of the list, or of a part of it, as a file in an open format.
    class ExportList
      def initialize(context, opened, view:)
        @context = context
        @opened = opened
        @view = view
      end

      # extension :: as for ExportEvidence. Gives a Download. Raises GoneError.
      def call(extension)
        format = ExportEvidence::FORMATS.fetch(extension) { raise GoneError, "format" }
        records = @context.library.records_by_id(ReadSift.new(@context, @opened, view: @view).ids)
        Download.new(name: "hobrin-#{@opened.id}-papers.#{extension}", type: format::TYPE,
                     body: format::Writer.call(records, sample: @context.snapshot.sample?))
      end
    end
  end
end
