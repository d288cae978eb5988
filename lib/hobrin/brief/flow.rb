# frozen_string_literal: true

module Hobrin
  class Brief
    # How many papers went where, from the join of the blocks to the evidence set.
    #
    # joined, limited :: papers that match all blocks; taken away by limits
    # by_hand         :: papers let in by hand that the search alone does not leave
    # threaded        :: those let in of what was found by following citations, beside by_hand
    # found           :: papers left to read
    # dropped         :: Hash of reason to number, most first; unsure, unread :: numbers
    # kept            :: papers in the evidence set that the search still finds
    # doubles         :: of the papers that match all blocks, those that are the same paper once more
    # origins         :: Hash of file or catalogue to how many of those that match all blocks it brought
    # settled         :: papers on which two readers differed, and settled what holds
    # kept_outside    :: papers kept earlier that the search as it is now no longer finds
    #
    # Always: joined + by_hand + threaded = limited + found, and found = dropped + unsure + unread +
    # kept.
    class Flow < Value
      attributes :joined, :limited, :by_hand, :threaded, :found, :dropped, :unsure, :unread, :kept,
                 :kept_outside, :doubles, :origins, :settled

      # joined :: number of papers; left :: of them after all limits; found_ids :: Array of record
      #   ids, those let in by hand too
      # decisions :: Array of Sifting::Decision; threaded_ids :: of papers let in by following
      #   citations that the search alone does not leave
      def self.of(joined:, found_ids:, decisions:, left: found_ids.size, threaded_ids: [], doubles: 0,
                  origins: {}, settled: 0)
        here, elsewhere = decisions.partition { |decision| found_ids.include?(decision.record_id) }
        by_verdict = here.group_by(&:verdict)
        new(joined:, limited: joined - left, by_hand: found_ids.size - left - threaded_ids.size,
            threaded: threaded_ids.size, found: found_ids.size,
            dropped: by_verdict.fetch(:drop, []).map(&:reason).tally.sort_by { |reason, count| [-count, reason] }.to_h,
            unsure: by_verdict.fetch(:unsure, []).size, unread: found_ids.size - here.size,
            kept: by_verdict.fetch(:keep, []).size,
            doubles:, settled:, origins: origins.dup.freeze,
            kept_outside: elsewhere.count { |decision| decision.verdict == :keep })
      end

      def dropped_total = dropped.values.sum
    end
  end
end
