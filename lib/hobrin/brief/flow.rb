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
      # decisions :: Array of Screening::Decision; threaded_ids :: of papers let in by following
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

      # The flow of papers as boxes, in the order of PRISMA 2020: what was found, what left at
      # each step and why, and what is in the evidence set. The boxes add up: each is what stands
      # above it, less what leaves to its side, and what is added manually.
      class Boxes
        # A box: lines :: Array of texts, the first with its number
        class Box < Value
          attributes :count, :lines
        end

        # A step: main :: Box; aside :: Box or nil, what leaves on the way to the next
        class Step < Value
          attributes :main, :aside
        end

        # How many files and catalogues are named, and with how many letters.
        MOST = 4
        LETTERS = 22
        private_constant :MOST, :LETTERS

        # flow :: Brief::Flow
        def initialize(flow)
          @flow = flow
        end

        # Array of Step, from the top.
        def steps
          [Step.new(main: box(@flow.joined, text("found"), *origins, *doubles),
                    aside: box(@flow.limited, text("limits"))),
           *let_in,
           Step.new(main: box(@flow.found, text("to_screen"), *settled), aside: dropped),
           Step.new(main: box(@flow.found - @flow.dropped_total, text("not_excluded")), aside: still_open),
           Step.new(main: box(@flow.kept, text("in_set")), aside: nil)]
        end

        private

        def text(key, **gaps) = Book.t("brief.flow.#{key}", **gaps)

        def box(count, *lines) = Box.new(count:, lines:)

        # Where they came from; the smallest of many together.
        def origins
          named, others = @flow.origins.to_a.then { |all| [all.first(MOST), all.drop(MOST)] }
          lines = named.map { |name, count| "#{count} #{name.size > LETTERS ? "#{name[0, LETTERS]}…" : name}" }
          others.empty? ? lines : [*lines, text("other_sources", papers: others.sum(&:last))]
        end

        def settled
          @flow.settled.zero? ? [] : [text("resolved", papers: @flow.settled)]
        end

        # Records of one paper are linked, none is taken out, so that nothing is lost unseen.
        def doubles
          @flow.doubles.zero? ? [] : [text("duplicates", papers: @flow.doubles)]
        end

        # What came in another way than by the search; no step where nothing did.
        def let_in
          others = @flow.by_hand + @flow.threaded
          return [] if others.zero?

          ways = { individually: @flow.by_hand, by_citations: @flow.threaded }.select { |_, count| count.positive? }
          [Step.new(main: box(@flow.joined - @flow.limited, text("left_by_search")),
                    aside: box(others, text("added"), *ways.map { |key, papers| text(key, papers:) }))]
        end

        def dropped
          reasons = @flow.dropped.map { |reason, count| "#{count} #{Screening::Decision::Reasons.name(reason).downcase}" }
          box(@flow.dropped_total, text("excluded"), *reasons)
        end

        def still_open
          parts = { unsure: @flow.unsure, unread: @flow.unread }.select { |_, count| count.positive? }
          box(@flow.unsure + @flow.unread, text("open"), *parts.map { |key, papers| text(key, papers:) })
        end
      end
    end
  end
end
