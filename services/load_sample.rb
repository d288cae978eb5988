# frozen_string_literal: true

module Hobrin
  module Services
    # Loads the made-up sample data into an empty home; what is there already stays.
    class LoadSample
      def initialize(context)
        @context = context
      end

      # headings :: Array of Thesaurus::Heading; csl :: a CSL-JSON document.
      # The block, if any, makes the sample inquiries; it is left out when there is an inquiry already.
      def call(headings:, csl:)
        return unless @context.library.empty?

        ImportThesaurus.new(@context).call(headings)
        ImportRecords.new(@context).call(StringIO.new(csl), format: :csl, sample: true)
        yield if block_given? && @context.inquiries.all.empty?
      end
    end
  end
end
