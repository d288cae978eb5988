# frozen_string_literal: true

module Hobrin
  # Every change of an inquiry, in order: what was done, the count before and after, when and by
  # whom. Any line can be looked at, compared with another, restored and run again.
  module Trail
    # One line of the trail.
    #
    # number :: from 1, and so the version of the inquiry after it; at :: ISO 8601 text; who :: name
    #   of the desk
    # step   :: one of Inquiry::STEPS; kind, facts :: what was done, see Edits::Change; note :: "" for none
    # count_before, count_after :: papers left; library_version :: of the library they were counted in
    # brings_back :: the number of the line whose state it brought back, or nil
    class Line < Value
      attributes :number, :at, :who, :step, :kind, :facts, :count_before, :count_after, :library_version, :note,
                 :brings_back

      # What was done, in words.
      def change = Edits::Wording.of(kind, facts)
    end

    # How what two searches find lies over each other.
    #
    # overlap    :: Retrieval::BlockFigures::Overlap of the two; circles :: Statistics::Circles or nil
    # only_one, only_other :: RecordSets of what only one of them finds
    # kept       :: Retrieval::BlockFigures::Overlap of the kept papers that each finds
    # kept_in_all :: Statistics::Interval around how many such papers there are in all (Chapman),
    #   nil where the two searches cannot tell
    class Comparison < Value
      attributes :overlap, :circles, :only_one, :only_other, :kept, :kept_in_all

      # one, other :: RecordSets; kept :: RecordSet of the papers that were kept
      def self.of(one, other, kept)
        overlap = Retrieval::BlockFigures::Overlap.of([one, other])
        of_kept = Retrieval::BlockFigures::Overlap.of([one & kept, other & kept])
        new(overlap:, circles: Statistics::Circles.of(overlap.regions), only_one: one - other, only_other: other - one,
            kept: of_kept, kept_in_all: Statistics::Chapman.call(*of_kept.sizes, of_kept.all))
      end

      # How many that would be kept both missed, by that estimate.
      def missed = [kept_in_all.estimate - (kept.sizes.sum - kept.all), 0].max
    end

    # Where a trail can go back and forth. Going back writes a line of its own that brings an
    # earlier state back, so the trail only ever grows; a change made after going back ends what
    # could be brought forth again.
    #
    # lines :: Array of [number, number of the line whose state it brings back or nil], from 1 up
    #   without gaps
    #
    #   History.new([[1, nil], [2, nil], [3, 1]]).redo # => 2
    class History
      def initialize(lines)
        @brings_back = lines.to_h
        @last = lines.map(&:first).max
      end

      # The number of the line that going back would undo; nil at the beginning.
      def undo = (present if present && present > 1)

      # The number of the line whose state stands before the one that `undo` names; nil at the
      # beginning.
      def before = undo && at(undo - 1)

      # The number of the line that going forth would bring back, nil when nothing was undone.
      def redo
        line = @brings_back.select { |_, back| back.nil? }.keys.max
        return if line.nil? || line == present

        line = at(line - 1) until line.nil? || line == 1 || at(line - 1) == present
        line unless line == 1
      end

      # The number of the line whose state is the present one.
      def present = @last && at(@last)

      private

      def at(number) = @brings_back[number] || number
    end
  end
end
