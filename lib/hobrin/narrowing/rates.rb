# frozen_string_literal: true

module Hobrin
  module Narrowing
    # How a search does by what is known of it so far.
    #
    # known :: must-find papers; found :: those of them that the search finds; by_hand :: those that
    #   are in only because a person let them in, which says nothing of the search
    # kept, dropped :: of the papers that are in, those that were read and decided; the unsure wait
    class Rates < Value
      attributes :known, :found, :by_hand, :kept, :dropped

      # cascade :: Cascade of the search; must_find, kept, dropped :: RecordSets
      def self.of(cascade:, must_find:, kept:, dropped:)
        found = cascade.found
        new(known: must_find.size, found: must_find.overlap(found), by_hand: (must_find & cascade.final - found).size,
            kept: kept.overlap(found), dropped: dropped.overlap(found))
      end

      def read = kept + dropped

      # The share of the must-find papers that is found, as a Statistics::Interval (Wilson); nil
      # without any.
      def sensitivity = (Statistics::Proportions::Wilson.call(found, known) if known.positive?)

      # The share of the papers read that was kept, as a Statistics::Interval (Wilson); nil while
      # none is read.
      def precision = (Statistics::Proportions::Wilson.call(kept, read) if read.positive?)

      # How many papers are read for one that is kept: 1 / precision. nil while none is kept.
      def number_needed_to_read = (read.fdiv(kept) if kept.positive?)
    end
  end
end
