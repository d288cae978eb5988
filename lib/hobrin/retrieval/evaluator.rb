# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Answers a tree over one version of the library. A leaf is asked of the index once and kept; everything
    # above is set algebra. Safe to share between threads. When the library changes, make a new one.
    class Evaluator
      attr_reader :thesaurus, :index, :filters

      # filters :: Strategy::Filters, for trees that name a study filter
      def initialize(index:, thesaurus:, filters: Strategy::Filters::NONE, cache: LeafCache.new)
        @index = index
        @thesaurus = thesaurus
        @filters = filters
        @cache = cache
      end

      def inspect = "#<#{self.class}>"

      # A tree in; a RecordSet out. nil stands for "nothing is searched yet" and gives the empty set.
      # A heading that the thesaurus no longer has finds the records that still carry it. Raises ArgumentError for
      # a Line: those are resolved first, by Strategy::Lines.
      def call(tree)
        case tree
        when nil then Records::RecordSet.empty
        when Strategy::AnyOf then Records::RecordSet.union(tree.parts.map { |part| call(part) })
        when Strategy::AllOf then Records::RecordSet.intersection(tree.parts.map { |part| call(part) })
        when Strategy::Except then call(tree.kept) - call(tree.taken)
        when Strategy::Filter then call(filters.tree(tree))
        when Strategy::OwnFilter then call(tree.tree)
        else @cache.fetch(tree) { leaf(tree) }
        end
      end

      def count(tree) = call(tree).size

      # Lets all kept answers go, so that the next ones are asked of the index anew.
      def forget = @cache.clear

      private

      def leaf(leaf)
        case leaf
        when Strategy::Words then index.words(leaf)
        when Strategy::Near then index.near(leaf)
        when Strategy::Heading then heading(leaf)
        when Strategy::Author then index.author(leaf)
        when Strategy::Identifier then index.identifier(leaf)
        when Strategy::Everything then index.everything
        else facet(leaf)
        end
      end

      def facet(leaf)
        case leaf
        when Strategy::Limit then index.facet(leaf.name, leaf.values)
        when Strategy::Journal then index.facet(:journal, leaf.values)
        when Strategy::Dates then index.facet(leaf.name, index.values(leaf.name).select { |date| leaf.cover?(date) })
        else raise ArgumentError, "no such leaf: #{leaf.class}"
        end
      end

      def heading(leaf)
        labels = leaf.narrower ? thesaurus.with_narrower(leaf.label) : [leaf.label]
        keys = labels.product(leaf.aspects.empty? ? [nil] : leaf.aspects)
                     .map { |label, aspect| Facets.heading_key(label, main: leaf.main, aspect:) }
        index.facet(keys.first.first, keys.map(&:last))
      end
    end
  end
end
