# frozen_string_literal: true

module Hobrin
  module Services
    # The study filters that could be put on, each with what it would leave.
    class ReadFilters
      # leaf :: Strategy::Filter or OwnFilter; published :: Strategy::PublishedFilter, nil for one's own
      # preview :: Narrowing::Previews::Preview, nil while it is on; terms :: Array of Term
      Row = Struct.new(:leaf, :published, :preview, :terms, keyword_init: true)
      # cql :: one of the terms; size :: how many of the papers of the join have it
      Term = Struct.new(:cql, :size, keyword_init: true)

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      def kinds = @context.filters.kinds

      # standing :: ReadInquiry::Standing; kind :: of question. Gives an Array of Row, from wide to narrow.
      def call(standing, kind)
        @context.filters.of_kind(kind).map { |one| row(standing, one.filter, one.terms, published: one) }
      end

      # Those that people here wrote; one whose terms cannot be read in this library any more is left out.
      def own(standing)
        @context.own_filters.all.filter_map do |one|
          leaf = Strategy::OwnFilter.new(title: one.title, tree: Strategy::Cql.read(one.terms, @context.vocabulary))
          row(standing, leaf, leaf.tree.is_a?(Strategy::AnyOf) ? leaf.tree.parts : [leaf.tree])
        rescue InputError
          nil
        end
      end

      private

      def row(standing, leaf, terms, published: nil)
        Row.new(leaf:, published:, preview: (previews(standing).preview(leaf) unless on?(standing, leaf)),
                terms: terms.map { |term| Term.new(cql: Strategy::Cql.write(term), size: size(standing, term)) })
      end

      def on?(standing, leaf) = standing.inquiry.limits.any? { |limit| limit.on && limit.leaf == leaf }
      def size(standing, term) = standing.cascade.joined.overlap(@evaluator.call(term))
      def previews(standing) = @previews ||= ReadNarrow.new(@context).previews(standing)
    end
  end
end
