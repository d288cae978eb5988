# frozen_string_literal: true

module Hobrin
  module Services
    # Loads the made-up sample data into an empty home; what is there already stays. It marks how far
    # it is, so that a start that was cut off is gone on with.
    class LoadSample < Service
      BATCH = 4_000
      NAME = "Made-up sample papers"
      THESAURUS = "Made-up sample thesaurus"
      DIGEST = "sample"
      private_constant :BATCH, :NAME, :THESAURUS, :DIGEST

      # headings :: Array of Thesaurus::Heading; records :: Enumerable of Records::Record
      # The block, if any, makes the sample inquiries; it is left out when there is an inquiry
      # already.
      def call(headings:, records:, &making)
        library = @context.library
        return unless library.empty? || library.loading

        cut_off = library.loading == "inquiries"
        records_in(headings, records) unless cut_off
        inquiries(cut_off, &making) if making
        library.mark_loading(nil)
      end

      private

      # Records that went in before the cut are known by their ids.
      def records_in(headings, records)
        library = @context.library
        library.mark_loading("papers")
        Imports::ImportThesaurus.new(@context).call(headings, name: THESAURUS)
        import = library.imports.unfinished(DIGEST) ||
                 library.imports.begin(name: NAME, digest: DIGEST, size: 0, sample: true,
                                       at: @context.clock.now)
        read = 0
        records.each_slice(BATCH) do |some|
          read += some.size
          library.add(some, sample: true) do |outcome|
            library.imports.add(import.id, outcome, place: read, at_byte: 0, refusals: [],
                                                    headings: {})
          end
        end
        library.finish_import(import, at: @context.clock.now)
        library.keep_frequent_words
      end

      # Sample inquiries of a start that was cut off are made anew: nobody has worked on them yet.
      def inquiries(cut_off)
        there = @context.inquiries.all
        return if cut_off ? there.any? { |saved| !saved.sample } : there.any?

        @context.library.mark_loading("inquiries")
        there.each { |saved| @context.inquiries.forget(id: saved.id) }
        yield
      end
    end
  end
end
