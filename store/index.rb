# frozen_string_literal: true

module Hobrin
  module Store
    # Answers the leaves of a strategy from SQLite: words by FTS5, everything else from stored sets.
    # Keeps the contract of Hobrin::Retrieval. Belongs to one version of the library.
    class Index
      # record :: gives the Record with a number
      MOST_KEPT = 500
      private_constant :MOST_KEPT

      def initialize(db, &)
        @db = db
        @facets = FacetSets.new(db)
        @texts = FullText.new(db, &)
        @sets = {}
        @spellings = {}
      end

      def inspect = "#<#{self.class}>"

      def everything = @everything ||= facet(:all, ["all"])
      def not_indexed = @not_indexed ||= facet(:unindexed, ["yes"])
      def unstated(limit) = facet(:unstated, [limit.to_s])

      def words(leaf) = @texts.words(leaf)
      def near(leaf) = @texts.near(leaf)

      # Kept, since a page asks for those of every truncated term each time; let go when there are very many.
      def spellings(mask)
        @spellings.clear if @spellings.size > MOST_KEPT
        @spellings[mask.word] ||= @texts.spellings(mask).freeze
      end

      def occurs?(word) = @texts.occurs?(word)

      # leaf :: Strategy::Author. Ranges of text stand in for beginnings, so that the index is used.
      def author(leaf)
        rows = @db[:authors]
        rows = leaf.truncated? ? rows.where(beginning(:family, leaf.stem)) : rows.where(family: leaf.family)
        rows = rows.where(beginning(:initials, leaf.initials)) unless leaf.initials.empty?
        Records::RecordSet.of(rows.distinct.select_map(:number))
      end

      # leaf :: Strategy::Identifier
      def identifier(leaf)
        found = @db[:records].where(Sequel.|({ doi: leaf.value }, Sequel.lit("id = ? COLLATE NOCASE", leaf.value)))
        Records::RecordSet.of(found.select_map(:number))
      end

      def facet(name, values)
        sets = @sets[name]
        return @facets.set(name, values.map(&:to_s)) unless sets

        Records::RecordSet.union(values.filter_map { |value| sets[value.to_s] })
      end

      def values(name) = sets(name).keys.sort

      # Read once and kept.
      def sets(name) = @sets[name] ||= @facets.all(name).freeze

      private

      def beginning(column, text)
        (Sequel[column] >= text) & (Sequel[column] < "#{text}\u{10FFFF}")
      end
    end
  end
end
