# frozen_string_literal: true

module Hobrin
  module Demo
    # The sample data, loaded into a home that has none yet: thesaurus, library, and the main inquiry.
    class Sample
      def initialize(context)
        @context = context
      end

      # The file that the records travel in. The same text every time.
      def self.csl = Exchange::CslJson::Writer.call(SampleLibrary.new.records)

      def load
        return unless @context.library.empty?

        Services::LoadSample.new(@context).call(headings: SampleThesaurus.headings, csl: Sample.csl) { MainInquiry.new(@context).call }
      end
    end
  end
end
