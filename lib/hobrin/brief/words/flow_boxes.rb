# frozen_string_literal: true

module Hobrin
  class Brief
    # The flow of papers as boxes, in the order of PRISMA 2020: what was found, what left at
    # each step and why, and what is in the evidence set. The boxes add up: each is what stands
    # above it, less what leaves to its side, and what is added manually.
    class FlowBoxes
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
        [Step.new(main: box(@flow.joined, "found by the search", *origins, *doubles),
                  aside: box(@flow.limited, "left out by limits")),
         *let_in,
         Step.new(main: box(@flow.found, "to read", *settled), aside: dropped),
         Step.new(main: box(@flow.found - @flow.dropped_total, "not dropped"), aside: still_open),
         Step.new(main: box(@flow.kept, "in the evidence set"), aside: nil)]
      end

      private

      def box(count, *lines) = Box.new(count:, lines:)

      # Where they came from; the smallest of many together.
      def origins
        named, others = @flow.origins.to_a.then { |all| [all.first(MOST), all.drop(MOST)] }
        lines = named.map { |name, count| "#{count} #{name.size > LETTERS ? "#{name[0, LETTERS]}…" : name}" }
        others.empty? ? lines : [*lines, "#{others.sum(&:last)} from others"]
      end

      def settled
        @flow.settled.zero? ? [] : ["#{@flow.settled} settled between two readers"]
      end

      # Records of one paper are linked, none is taken out, so that nothing is lost unseen.
      def doubles
        @flow.doubles.zero? ? [] : ["#{@flow.doubles} the same paper once more"]
      end

      # What came in another way than by the search; no step where nothing did.
      def let_in
        others = @flow.by_hand + @flow.threaded
        return [] if others.zero?

        ways = { "one by one" => @flow.by_hand, "by citation searching" => @flow.threaded }.select { |_, count| count.positive? }
        [Step.new(main: box(@flow.joined - @flow.limited, "left by the search"),
                  aside: box(others, "added manually", *ways.map { |name, count| "#{count} #{name}" }))]
      end

      def dropped
        reasons = @flow.dropped.map { |reason, count| "#{count} #{reason.downcase}" }
        box(@flow.dropped_total, "dropped", *reasons)
      end

      def still_open
        parts = [["unsure", @flow.unsure], ["unread", @flow.unread]].reject do |_, count|
          count.zero?
        end
        box(@flow.unsure + @flow.unread, "still open", *parts.map { |name, count| "#{count} #{name}" })
      end
    end
  end
end
