# frozen_string_literal: true

module Hobrin
  module Services
    # The study filters that could be put on, each with what it would leave.
    class ReadFilters
      # leaf :: Strategy::Filters::Filter or OwnFilter; published :: Strategy::Filters::PublishedFilter, nil for one's own
      # preview :: Narrowing::Previews::Preview, nil while it is on; terms :: Array of Term
      class Row < Value
        attributes :leaf, :published, :preview, :terms
      end

      # cql :: one of the terms; size :: how many of the papers of the join have it
      class Term < Value
        attributes :cql, :size
      end

      # opened :: OpenInquiry
      def initialize(context, opened)
        @context = context
        @opened = opened
        @narrow = ReadNarrow.new(context, opened)
      end

      def kinds = @context.filters.kinds

      # kind :: of question. Gives an Array of Row, from wide to narrow.
      def call(kind)
        @context.filters.of_kind(kind).map { |one| row(one.filter, one.terms, published: one) }
      end

      # Those that people here wrote; one whose terms cannot be read in this library any more is
      # left out.
      def own
        @context.own_filters.all.filter_map do |one|
          leaf = Strategy::Filters::OwnFilter.new(title: one.title,
                                                  tree: Strategy::Cql.read(
                                                    one.terms, @context.vocabulary
                                                  ))
          row(leaf, leaf.terms)
        rescue InputError
          nil
        end
      end

      private

      def row(leaf, terms, published: nil)
        Row.new(leaf:, published:, preview: (@narrow.preview(leaf) unless on?(leaf)),
                terms: terms.map { |term| Term.new(cql: Strategy::Cql.write(term), size: size(term)) })
      end

      def on?(leaf) = @opened.inquiry.limits.any? { |limit| limit.on && limit.leaf == leaf }
      def size(term) = @opened.cascade.joined.overlap(@context.evaluator.call(term))
    end
  end
end
