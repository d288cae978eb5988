# frozen_string_literal: true

module Hobrin
  module Narrowing
    # How a search does by what is known of it so far.
    #
    # known :: must-find papers; found :: those of them that are in
    # kept, dropped :: of the papers that are in, those that were read and decided; the unsure wait
    class Rates < Value
      attributes :known, :found, :kept, :dropped

      # found :: RecordSet of what the search finds; must_find, kept, dropped :: RecordSets
      def self.of(found:, must_find:, kept:, dropped:)
        new(known: must_find.size, found: must_find.overlap(found), kept: kept.overlap(found),
            dropped: dropped.overlap(found))
      end

      def read = kept + dropped

      # The share of the must-find papers that is found, as a Statistics::Interval (Wilson); nil
      # without any.
      def sensitivity = (Statistics::Wilson.call(found, known) if known.positive?)

      # The share of the papers read that was kept, as a Statistics::Interval (Wilson); nil while
      # none is read.
      def precision = (Statistics::Wilson.call(kept, read) if read.positive?)

      # How many papers are read for one that is kept: 1 / precision. nil while none is kept.
      def number_needed_to_read = (read.fdiv(kept) if kept.positive?)
    end
  end
end
