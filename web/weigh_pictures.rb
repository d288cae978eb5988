# frozen_string_literal: true

module Hobrin
  module Web
    # The larger pictures of Weigh, as SVG: small papers and large ones, papers on a test, and what a result
    # of a test means. Each stands beside a table of the same numbers.
    module WeighPictures
      # small :: Pages::Weigh::SmallPapers
      def funnel_picture(small)
        width, height = small.frame
        middle, top, bottom = small.middle_line
        ticks = small.ticks.map { |x, words| %(<text class="forest-number" x="#{x.round(1)}" y="#{height - 16}" text-anchor="middle">#{h words}</text>) }
        points = small.points.map { |one| %(<circle class="paper-point" cx="#{one.x}" cy="#{one.y}" r="5"><title>#{h one.label}</title></circle>) }
        edge = small.funnel.map { |pair| pair.join(",") }.join(" ")
        framed("funnel", width, height,
               %(<polygon class="funnel-edge" points="#{edge}"/><line class="forest-one" x1="#{middle}" y1="#{top}" x2="#{middle}" y2="#{bottom}"/>) +
               %(#{points.join}#{ticks.join}<text class="forest-number" x="4" y="12">exact</text>) +
               %(<text class="forest-number" x="4" y="#{bottom}">less exact</text>))
      end

      # roc :: Pages::Weigh::RocSpace
      def roc_picture(roc)
        points = roc.points.map { |one| %(<circle class="paper-point" cx="#{one.x}" cy="#{one.y}" r="#{one.size}"><title>#{h one.label}</title></circle>) }
        x, y = roc.middle
        framed("roc-picture", roc.frame, roc.frame + 16,
               %(<rect class="roc-frame" x="#{roc.edge}" y="#{roc.top}" width="#{roc.side}" height="#{roc.side}"/>) + roc_axes(roc) +
               %(<polygon class="roc-predicted" points="#{roc.predicted}"/><polygon class="roc-region" points="#{roc.region}"/>#{points.join}) +
               %(<polygon class="forest-diamond" points="#{x - 7},#{y} #{x},#{y - 7} #{x + 7},#{y} #{x},#{y + 7}"/>))
      end

      # people :: Statistics::PredictiveValues
      def thousand_picture(people)
        framed("thousand", 620, 190,
               branch(310, 26, [[155, 96], [465, 96]]) + branch(155, 112, [[70, 166], [230, 166]]) + branch(465, 112, [[390, 166], [550, 166]]) +
               knot(310, 18, people.people, "people") + knot(155, 102, people.ill, "have it") + knot(465, 102, people.well, "have it not") +
               knot(70, 172, people.found, "found") + knot(230, 172, people.missed, "missed") +
               knot(390, 172, people.alarmed, "false alarm") + knot(550, 172, people.cleared, "cleared"))
      end

      private

      def framed(name, width, height, inside)
        %(<svg class="#{name}" viewBox="0 0 #{width} #{height}" aria-hidden="true">#{inside}</svg>)
      end

      def roc_axes(roc)
        foot = roc.top + roc.side + 14
        roc.ticks.map do |share, words|
          %(<text class="forest-number" x="#{roc.x(share)}" y="#{foot}" text-anchor="middle">#{words}</text>) +
            %(<text class="forest-number" x="#{roc.edge - 4}" y="#{roc.y(share) + 4}" text-anchor="end">#{words}</text>)
        end.join + %(<text class="forest-number" x="#{roc.edge + (roc.side / 2)}" y="#{foot + 16}" text-anchor="middle">false alarms of 100 well</text>) +
          %(<text class="forest-number" x="4" y="12">found, of 100 ill</text>)
      end

      def branch(x, y, ends)
        ends.map { |to, down| %(<line class="forest-tick" x1="#{x}" y1="#{y}" x2="#{to}" y2="#{down - 14}"/>) }.join
      end

      def knot(x, y, count, words)
        %(<text class="knot" x="#{x}" y="#{y}" text-anchor="middle"><tspan class="knot-count">#{count}</tspan> #{h words}</text>)
      end
    end
  end
end
