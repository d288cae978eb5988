# frozen_string_literal: true

module Hobrin
  module Demo
    # The sample data, loaded into a home that has none yet: thesaurus, library, and the inquiries.
    class Sample
      def initialize(context)
        @context = context
      end

      # The records as a file. The same text every time.
      def self.csl = Exchange::CslJson::Writer.call(SampleLibrary.new.records)

      # What is about to be done, in words; nil when there is nothing to do.
      def announcement
        return "The sample was not made to its end last time. Going on…" if @context.library.loading

        "Making the sample library…" if @context.library.empty?
      end

      def load
        return unless announcement

        Services::LoadSample.new(@context).call(headings: SampleThesaurus.headings,
                                                records: SampleLibrary.new.each) { inquiries }
      end

      private

      # The main one is the first, and the last one touched; full texts stand with some of its
      # papers.
      def inquiries
        main = MainInquiry.new(@context)
        main.start
        OtherInquiries.new(@context).call
        main.work
        FullTexts.new(@context).call
        Team.new(@context, main).call
      end
    end
  end
end
