# frozen_string_literal: true

module Hobrin
  module Web
    # What Weigh draws of papers put together, as SVG. Each stands beside a table of the same numbers.
    module TogetherPictures
      PEOPLE = 100
      IN_ROW = 20
      STEPS = 4
      private_constant :PEOPLE, :IN_ROW, :STEPS

      # One effect with its interval. mark :: Pages::Weigh::Scale::Mark; nothing :: where no effect is, or
      # nil
      def forest_line(mark, nothing)
        side = mark.size * 2
        line_picture(nothing, %(<line class="forest-line" x1="#{mark.low}" y1="10" x2="#{mark.high}" y2="10"/>) +
          %(<rect class="forest-square" x="#{(mark.middle - mark.size).round(1)}" y="#{10 - mark.size}" width="#{side}" height="#{side}"/>))
      end

      # The pooled value as a diamond, with the line of where a new study may lie. prediction may be nil
      def forest_diamond(pooled, prediction, nothing)
        line = prediction && %(<line class="forest-predicted" x1="#{prediction.low}" y1="10" x2="#{prediction.high}" y2="10"/>)
        line_picture(nothing, "#{line}#{diamond(pooled.low, pooled.middle, pooled.high)}")
      end

      # ticks :: Array of [place, in words]
      def axis(ticks)
        marks = ticks.map do |place, words|
          anchor = place < 8 ? "start" : (place > 192 ? "end" : "middle")
          %(<line class="forest-tick" x1="#{place}" y1="0" x2="#{place}" y2="4"/>) +
            %(<text class="forest-number" x="#{place}" y="15" text-anchor="#{anchor}">#{h words}</text>)
        end
        %(<svg viewBox="0 0 200 20" aria-hidden="true"><line class="forest-tick" x1="0" y1="0" x2="200" y2="0"/>#{marks.join}</svg>)
      end

      # A share with its interval, from nobody to everybody. interval :: Statistics::Interval of proportions
      def share_line(interval, pooled: false)
        low, middle, high = [interval.low, interval.estimate, interval.high].map { |share| (100 * share).round(1) }
        mark = if pooled then diamond(low, middle, high)
               else %(<line class="forest-line" x1="#{low}" y1="10" x2="#{high}" y2="10"/>) +
                 %(<rect class="forest-square" x="#{middle - 3}" y="7" width="6" height="6"/>)
               end
        %(<svg viewBox="0 0 100 20" aria-hidden="true"><line class="forest-tick" x1="0" y1="18" x2="100" y2="18"/>#{mark}</svg>)
      end

      # A hundred people: those who have it in either case, those who have it only without, only with,
      # and never. of :: anything with without and with, whole people of a hundred
      def people_picture(of)
        both, most = [of.without, of.with].minmax
        only = of.without > of.with ? "person-spared" : "person-more"
        marks = Array.new(PEOPLE) do |place|
          name = place < both ? "person-both" : (place < most ? only : "person-none")
          row, column = place.divmod(IN_ROW)
          %(<circle class="#{name}" cx="#{(column * 12) + 6}" cy="#{(row * 12) + 6}" r="4.4"/>)
        end
        frame = "0 0 #{IN_ROW * 12} #{PEOPLE / IN_ROW * 12}"
        %(<svg class="people" viewBox="#{frame}" aria-hidden="true">#{marks.join}</svg>)
      end

      # How sure, as a bar of four steps; the word stands beside it. level :: 1 to 4
      def certainty_bar(level)
        steps = Array.new(STEPS) do |place|
          %(<rect class="#{place < level ? "sure-step" : "sure-open"}" x="#{(place * 12) + 1}" y="#{10 - (place * 3)}" width="10" height="#{5 + (place * 3)}"/>)
        end
        %(<svg class="sure" viewBox="0 0 50 16" aria-hidden="true">#{steps.join}</svg>)
      end

      private

      def line_picture(nothing, inside)
        one = nothing && %(<line class="forest-one" x1="#{nothing}" y1="0" x2="#{nothing}" y2="20"/>)
        %(<svg viewBox="0 0 200 20" aria-hidden="true">#{one}#{inside}</svg>)
      end

      def diamond(low, middle, high)
        %(<polygon class="forest-diamond" points="#{low},10 #{middle},3 #{high},10 #{middle},17"/>)
      end
    end
  end
end
