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

      # record :: Records::Record. Gives one with its headings as the thesaurus has them. A name
      # gives way to the heading that it stands for, which remembers it, unless the record has the
      # heading anyhow.
      def call(record)
        return record if @thesaurus.headings.empty?

        found, others = Keyword.sorted(record.keywords, @thesaurus)
        known = record.headings.map { |one| known(one) }
        there = (known.compact + found).map(&:label)
        own = record.headings.zip(known).map { |one, heading| heading || in_place_of(one, there) }
        said, keywords = others.map { |name| said(name, there) }
                               .partition { |one| one.is_a?(Records::Indexing) }
        keywords.each { |keyword| @keywords[keyword] += 1 }
        headings = (own + found + said).uniq(&:label)
        same = headings == record.headings && keywords == record.keywords
        same ? record : record.with(headings:, keywords:)
      end

      # A record in which a name from outside stands again as it was, in place of the heading.
      # name :: as it was matched
      def self.without(record, name)
        plain = Text::Tokens.line(name)
        headings, keywords = [], record.keywords
        record.headings.each do |one|
          was, text = one.stands_for
          next headings << one unless text && Text::Tokens.line(text) == plain

          was == "heading" ? headings << one.with(label: text, stands_for: nil) : keywords += [text]
        end
        record.with(headings:, keywords:)
      end

      private

      # The label that a name stands for, which is there from then on; nil where it is there
      # already.
      def matching(name, there)
        label = @matches[Text::Tokens.line(name)]
        there.push(label).last unless label.nil? || there.include?(label)
      end

      # What stands in place of a keyword: a heading, or the keyword.
      def said(name, there)
        label = matching(name, there)
        label ? Records::Indexing.new(label:, stands_for: ["keyword", name]) : name
      end

      # A heading as the thesaurus has it, or as it was matched before; nil for one that it lacks.
      def known(indexing)
        heading = @thesaurus.heading(indexing.label) || @thesaurus.named(indexing.label)
        heading && (heading.label == indexing.label ? indexing : indexing.with(label: heading.label))
      end

      def in_place_of(indexing, there)
        label = matching(indexing.label, there)
        return indexing.with(label:, stands_for: ["heading", indexing.label]) if label

        @strange[indexing.label] += 1 unless @matches[Text::Tokens.line(indexing.label)]
        indexing
      end
    end
  end
end
