# frozen_string_literal: true

module Hobrin
  module Trail
    # How what two searches find lies over each other.
    #
    # overlap    :: Retrieval::Overlap of the two; circles :: Statistics::Circles or nil
    # only_one, only_other :: RecordSets of what only one of them finds
    # kept       :: Retrieval::Overlap of the kept papers that each finds
    # kept_in_all :: Statistics::Interval around how many such papers there are in all (Chapman),
    #   nil where the two searches cannot tell
    class Comparison < Value
      attributes :overlap, :circles, :only_one, :only_other, :kept, :kept_in_all

      # one, other :: RecordSets; kept :: RecordSet of the papers that were kept
      def self.of(one, other, kept)
        overlap = Retrieval::Overlap.of([one, other])
        of_kept = Retrieval::Overlap.of([one & kept, other & kept])
        new(overlap:, circles: Statistics::Circles.of(overlap.regions), only_one: one - other, only_other: other - one,
            kept: of_kept, kept_in_all: Statistics::Chapman.call(*of_kept.sizes, of_kept.all))
      end

      # How many that would be kept both missed, by that estimate.
      def missed = [kept_in_all.estimate - (kept.sizes.sum - kept.all), 0].max
    end
  end
end
