# frozen_string_literal: true

module Hobrin
  module Exchange
    # Fits what a record from outside says of its headings to a thesaurus: headings get their
    # preferred labels, and what stands among the keywords though it is a heading goes to the
    # headings.
    class Indexing
      # strange :: Hash of heading that the thesaurus lacks to the number of records that carry it
      attr_reader :strange

      # thesaurus :: Thesaurus
      def initialize(thesaurus)
        @thesaurus = thesaurus
        @strange = Hash.new(0)
      end

      # record :: Records::Record. Gives one with its headings as the thesaurus has them.
      def call(record)
        return record if @thesaurus.headings.empty?

        found, keywords = Keyword.sorted(record.keywords, @thesaurus)
        headings = (record.headings.map { |one| preferred(one) } + found).uniq(&:label)
        headings == record.headings && keywords == record.keywords ? record : record.with(
          headings:, keywords:
        )
      end

      private

      def preferred(indexing)
        heading = @thesaurus.heading(indexing.label) || @thesaurus.named(indexing.label)
        @strange[indexing.label] += 1 unless heading
        heading && heading.label != indexing.label ? indexing.with(label: heading.label) : indexing
      end
    end
  end
end
