# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Act
        # The flow of papers, a line for each step, from the search to the evidence set.
        class FlowLines
          include Formatting

          # A number in the flow of papers and what is said of it.
          class Line < Value
            attributes :papers, :says, :aside, :last
          end

          # counts :: Brief::Flow
          def initialize(counts)
            @counts = counts
          end

          # Array of Line, from the top.
          def call
            [Line.new(papers: counts.joined, says: "match all blocks", aside: limited, last: false),
             Line.new(papers: counts.found, says: "left to read", aside: dropped, last: false),
             *(open_line if (counts.unsure + counts.unread).positive?),
             Line.new(papers: counts.kept, says: "in the evidence set", aside: kept_outside,
                      last: true)]
          end

          private

          attr_reader :counts

          def limited
            added = counts.by_hand + counts.threaded
            threaded = " (#{number(counts.threaded)} of them by citation searching)" if counts.threaded.positive?
            "−#{number(counts.limited)} by limits#{", +#{number(added)} added manually#{threaded}" if added.positive?}"
          end

          def dropped
            return "none dropped" if counts.dropped_total.zero?

            reasons = counts.dropped.map { |reason, count| "#{reason.downcase} #{count}" }
            "−#{counts.dropped_total} dropped: #{reasons.join(", ")}"
          end

          def open_line
            Line.new(papers: counts.unsure + counts.unread, says: "open",
                     aside: "#{counts.unsure} unsure, #{counts.unread} unread", last: false)
          end

          def kept_outside
            outside = counts.kept_outside
            outside.positive? ? "and #{outside} kept earlier that this search no longer finds" : ""
          end
        end
      end
    end
  end
end
