# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Answers the leaves of a strategy from SQLite: words by FTS5, everything else from stored sets.
      # Keeps the contract of Hobrin::Retrieval. Belongs to one version of the library.
      class Index < Base
        MOST_SPELLINGS = 500
        private_constant :MOST_SPELLINGS

        # The block gives the Record with a number. What is answered once is kept; nothing else of an
        # index ever changes, so threads may share it.
        def initialize(db, &)
          super(db)
          @facets = FacetSets.new(db)
          @texts = FullText.new(db, &)
          @one_word = FrequentWords::OneWord.new(db, @texts)
          @sets = Kept.new
          @spellings = Kept.new(most: MOST_SPELLINGS)
          freeze
        end

        def everything = sets(:all).fetch("all") { Records::RecordSet.empty }
        def not_indexed = sets(:unindexed).fetch("yes") { Records::RecordSet.empty }
        def unstated(limit) = facet(:unstated, [limit.to_s])

        def words(leaf) = @one_word.call(leaf, among: everything) || @texts.words(leaf)
        def whole(leaf) = @texts.whole(leaf)
        def near(leaf) = @texts.near(leaf)

        # A page asks for those of every truncated term each time.
        def spellings(mask) = @spellings.fetch(mask.word) { @texts.spellings(mask).freeze }

        def occurs?(word) = @texts.occurs?(word)

        # Hash of each folded word to how many records had it when the last import ended.
        def word_counts
          @sets.fetch(:word_counts) { @db[:word_counts].select_hash(:word, :papers).freeze }
        end

        # leaf :: Strategy::Author. Ranges of text stand in for beginnings, so that the index is used.
        def author(leaf)
          family = leaf.truncated? ? beginning(:family, leaf.stem) : { family: leaf.family }
          rows = @db[:authors].where(family)
          rows = rows.where(beginning(:initials, leaf.initials)) unless leaf.initials.empty?
          Records::RecordSet.of(rows.distinct.select_map(:number))
        end

        # leaf :: Strategy::Identifier
        def identifier(leaf)
          same_id = Sequel.lit("id = ? COLLATE NOCASE", leaf.value)
          found = @db[:records].where(Sequel.|({ doi: leaf.value }, same_id))
          Records::RecordSet.of(found.select_map(:number))
        end

        def facet(name, values)
          sets = @sets[name]
          return @facets.set(name, values.map(&:to_s)) unless sets

          Records::RecordSet.union(values.filter_map { |value| sets[value.to_s] })
        end

        def values(name) = sets(name).keys.sort

        def sets(name) = @sets.fetch(name) { @facets.all(name).freeze }

        private

        def beginning(column, text)
          (Sequel[column] >= text) & (Sequel[column] < "#{text}\u{10FFFF}")
        end

        # The library as it was at one version. All of it was read in one transaction, so that its parts
        # belong together.
        #
        # version :: see Library; index :: Index; thesaurus :: Thesaurus; size :: records; sample ::
        #   whether they are made up; traits :: KeptTraits
        class Snapshot < Value
          attributes :version, :index, :thesaurus, :size, :sample, :traits

          alias sample? sample
          def empty? = size.zero?
        end
      end
    end
  end
end
