# frozen_string_literal: true

module Hobrin
  module Services
    # Loads the made-up sample data into an empty home; what is there already stays.
    class LoadSample
      BATCH = 4_000
      private_constant :BATCH

      def initialize(context)
        @context = context
      end

      # headings :: Array of Thesaurus::Heading; records :: Enumerable of Records::Record
      # The block, if any, makes the sample inquiries; it is left out when there is an inquiry
      # already.
      def call(headings:, records:)
        return unless @context.library.empty?

        ImportThesaurus.new(@context).call(headings)
        records.each_slice(BATCH) { |some| @context.library.add(some, sample: true) }
        @context.library.finish_import("sample")
        yield if block_given? && @context.inquiries.all.empty?
      end
    end
  end
end
