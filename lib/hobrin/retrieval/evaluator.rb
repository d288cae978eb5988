# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Answers a tree over one version of the library. A leaf is asked of the index once and kept;
    # everything above is set algebra. Safe to share between threads. When the library changes, make
    # a new one.
    class Evaluator < Strategy::TreeWalker
      MOST_DERIVED = 100
      private_constant :MOST_DERIVED

      attr_reader :thesaurus, :index, :filters

      # filters :: Strategy::Filters, for trees that name a study filter
      def initialize(index:, thesaurus:, filters: Strategy::Filters::NONE, cache: LeafCache.new)
        super()
        @index = index
        @thesaurus = thesaurus
        @filters = filters
        @cache = cache
        @derived = {}
        @lock = Mutex.new
      end

      # What was worked out from answers of this version, under a key that holds all that it depends
      # on; else what the block gives. The last few are kept.
      def derived(key)
        @lock.synchronize do
          kept = @derived.delete(key)
          return @derived[key] = kept if kept
        end
        found = yield
        @lock.synchronize do
          @derived.shift while @derived.size >= MOST_DERIVED
          @derived[key] = found
        end
      end

      def inspect = "#<#{self.class}>"

      # A tree in; a RecordSet out. nil stands for "nothing is searched yet" and gives the empty
      # set. A heading that the thesaurus no longer has finds the records that still carry it.
      # Raises ArgumentError for a Line: those are resolved first, by Strategy::Lines.
      def call(tree)
        Deadline.check
        tree.nil? ? Records::RecordSet.empty : super
      end

      def count(tree) = call(tree).size

      # Lets all kept answers go, so that the next ones are asked of the index anew.
      def forget
        @cache.clear
        @lock.synchronize { @derived.clear }
      end

      private

      def any_of(_tree, sets) = Records::RecordSet.union(sets)
      def all_of(_tree, sets) = Records::RecordSet.intersection(sets)
      def except(_tree, kept, excluded) = kept - excluded

      # A filter is no answer of the index, but a tree of its own.
      def leaf(leaf)
        case leaf
        when Strategy::Filters::Filter then call(filters.tree(leaf))
        when Strategy::Filters::OwnFilter then call(leaf.tree)
        else @cache.fetch(leaf) { answer(leaf) }
        end
      end

      def answer(leaf)
        case leaf
        when Strategy::TextTerm then index.words(leaf)
        when Strategy::WholeText then index.whole(leaf)
        when Strategy::Proximity then index.near(leaf)
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

      # Keeps the set of each leaf that was asked for, up to a bound on memory; past it, those asked
      # for longest ago are let go. Safe to share between threads.
      class LeafCache
        # Bytes of all sets together.
        MOST_BYTES = 128 * 1024 * 1024
        # What an entry takes beside its set.
        ENTRY_BYTES = 500
        private_constant :ENTRY_BYTES

        attr_reader :bytes

        def initialize(most_bytes: MOST_BYTES)
          @most_bytes = most_bytes
          @sets = {}
          @bytes = 0
          @lock = Mutex.new
        end

        # The kept set of a leaf, or what the block gives for it. Two threads may both work one out.
        def fetch(leaf)
          @lock.synchronize do
            kept = @sets.delete(leaf)
            return @sets[leaf] = kept if kept
          end
          set = yield
          @lock.synchronize { keep(leaf, set) }
        end

        def clear
          @lock.synchronize do
            @sets.clear
            @bytes = 0
          end
        end

        private

        def keep(leaf, set)
          release(*@sets.shift) while @bytes > @most_bytes && @sets.any?
          @bytes += set.weight + ENTRY_BYTES unless @sets.key?(leaf)
          @sets[leaf] = set
        end

        def release(_, set)
          @bytes -= set.weight + ENTRY_BYTES
        end
      end

      # An Evaluator that sees only some records, such as those that were here at an earlier time.
      # Since every tree above a leaf is set algebra, what it finds is what the whole finds, of those
      # records.
      class AsOf
        # evaluator :: Evaluator; records :: RecordSet
        def initialize(evaluator, records)
          @evaluator = evaluator
          @records = records
        end

        def call(tree) = @evaluator.call(tree) & @records
        def count(tree) = call(tree).size
      end
    end
  end
end
