# frozen_string_literal: true

module Hobrin
  module Demo
    # The sample data, loaded into a home that has none yet: thesaurus, library, and the main inquiry.
    class Sample
      def initialize(context)
        @context = context
      end

      # The records as a file. The same text every time.
      def self.csl = Exchange::CslJson::Writer.call(SampleLibrary.new.records)

      def load
        return unless @context.library.empty?

        Services::LoadSample.new(@context).call(headings: SampleThesaurus.headings, records: SampleLibrary.new.each) { MainInquiry.new(@context).call }
      end
    end
  end
end
