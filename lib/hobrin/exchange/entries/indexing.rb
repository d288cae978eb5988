# frozen_string_literal: true

module Hobrin
  module Exchange
    # Fits what a record from outside says of its headings to a thesaurus: headings get their
    # preferred labels, and what stands among the keywords though it is a heading goes to the
    # headings.
    class Indexing
      # strange, keywords :: Hash of heading, and of keyword, that the thesaurus lacks to the number
      #   of records that carry it
      attr_reader :strange, :keywords

      # thesaurus :: Thesaurus; matches :: Hash of a name from outside, folded, to the label that it
      #   stands for, as people said
      def initialize(thesaurus, matches: {})
        @thesaurus = thesaurus
        @matches = matches
        @strange = Hash.new(0)
        @keywords = Hash.new(0)
      end

      # record :: Records::Record. Gives one with its headings as the thesaurus has them.
      def call(record)
        return record if @thesaurus.headings.empty?

        found, others = Keyword.sorted(record.keywords, @thesaurus)
        matched, keywords = others.partition { |keyword| matching(keyword) }
        keywords.each { |keyword| @keywords[keyword] += 1 }
        headings = (record.headings.map do |one|
          preferred(one)
        end + found + said(matched)).uniq(&:label)
        same = headings == record.headings && keywords == record.keywords
        same ? record : record.with(headings:, keywords:)
      end

      private

      def matching(name) = @matches[Text::Tokens.line(name)]

      def said(names)
        names.map { |name| Records::Indexing.new(label: matching(name), main: false, aspects: []) }
      end

      def preferred(indexing)
        heading = @thesaurus.heading(indexing.label) || @thesaurus.named(indexing.label)
        label = heading&.label || matching(indexing.label)
        @strange[indexing.label] += 1 unless label
        label && label != indexing.label ? indexing.with(label:) : indexing
      end
    end
  end
end
