# frozen_string_literal: true

module Hobrin
  module Retrieval
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
  end
end
