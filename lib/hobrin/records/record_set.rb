# frozen_string_literal: true

require "roaring"

module Hobrin
  module Records
    # A set of record numbers (positive integers) with set algebra. Never altered: every operation
    # gives a new set. The only file that knows how a set is stored; the bitmap is never handed out,
    # since freezing one does not protect it.
    #
    #   (RecordSet.of([1, 2, 3]) & RecordSet.of([2, 3, 4])).to_a # => [2, 3]
    class RecordSet
      include Enumerable

      EMPTY_BYTES = 64
      private_constant :EMPTY_BYTES

      class << self
        # numbers :: an Array of positive Integers, in any order
        def of(numbers) = new(Roaring::Bitmap32.new(numbers))

        def empty = new(Roaring::Bitmap32.new)

        # The union of any number of sets; none gives the empty set.
        def union(sets) = sets.one? ? sets.first : empty.join(sets)

        # The intersection of one set or more: the smallest first, so that little is gone through.
        def intersection(sets)
          smallest, *others = sets.sort_by(&:size)
          smallest.meet(others)
        end

        # Bytes from `dump` in; the set out.
        def load(bytes) = new(Roaring::Bitmap32.deserialize(bytes))
      end

      def initialize(bitmap)
        @bitmap = bitmap
        freeze
      end

      # The union with any number of sets, made in one go.
      def join(others)
        return self if others.empty?

        whole = bitmap.dup
        others.each { |other| whole.or!(other.bitmap) }
        RecordSet.new(whole)
      end

      # What all of any number of sets have, made in one go.
      def meet(others)
        return self if others.empty?

        left = bitmap.dup
        others.each { |other| left.and!(other.bitmap) }
        RecordSet.new(left)
      end

      def |(other) = RecordSet.new(bitmap | other.bitmap)
      def &(other) = RecordSet.new(bitmap & other.bitmap)
      def -(other) = RecordSet.new(bitmap - other.bitmap)

      def size = bitmap.cardinality
      def empty? = bitmap.empty?
      def include?(number) = bitmap.include?(number)
      def each(&) = bitmap.each(&)

      # How many records both sets hold, without making the set.
      def overlap(other) = bitmap.and_cardinality(other.bitmap)

      def intersect?(other) = bitmap.intersect?(other.bitmap)

      def dump = bitmap.serialize

      # About how many bytes of memory it takes.
      def weight
        counts = bitmap.statistics
        EMPTY_BYTES + counts.values_at(:n_bytes_array_containers, :n_bytes_run_containers,
                                       :n_bytes_bitset_containers).sum
      end

      def ==(other) = other.is_a?(RecordSet) && bitmap == other.bitmap

      protected

      attr_reader :bitmap
    end
  end
end
