# frozen_string_literal: true

module Hobrin
  module Learning
    class Screening
      # The parts of docs/sifting.md that are made anew: what Screening found, as tables.
      class Page
        BINS = 5
        private_constant :BINS

        # runs :: Array of Screening::Run
        def initialize(runs)
          @runs = runs
        end

        # text :: the page as it was. Gives it with its made parts as they are now.
        def call(text) = MadeParts.put(text, { "reading" => reading, "stopping" => stopping })

        # The middle of the shares of newest-first that likeliest-first needs.
        def middle = @runs.map(&:share).sort[@runs.size / 2]

        private

        def reading
          rows = @runs.group_by(&:kind).map do |kind, runs|
            one = runs.first
            cells = [kind, one.papers, one.keepers, *%i[likeliest newest chance].map { |way| range(runs.map(&way)) },
                     range(runs.map { |run| (100 * run.share).round }, " %")]
            "| #{cells.join(" | ")} |"
          end
          ["| question | papers | keepers | likeliest first | newest first | chance | of newest first |",
           "| --- | ---: | ---: | ---: | ---: | ---: | ---: |", *rows, "",
           "The middle of all runs: #{(100 * middle).round} % of what newest first needs."].join("\n")
        end

        def stopping
          [estimates, "", "Brier score #{brier.round(3)}; of a guess of their share for all, #{base.round(3)}.", "",
           "| said to be kept with | papers | said | were |", "| --- | ---: | ---: | ---: |", *bins].join("\n")
        end

        def estimates
          rows = Screening::LOOKS.each_with_index.map do |share, place|
            some = @runs.filter_map { |run| run.estimates.find { |one| one.read == (run.papers * share).round } }
            said = some.sum(&:expected) / some.size
            left = some.sum(&:left).fdiv(some.size)
            held = some.count { |one| one.left <= one.high }
            "| #{(100 * share).round} % | #{said.round(1)} | #{left.round(1)} | #{held} of #{some.size} |" if place
          end
          ["| read | expected, on average | left, on average | not more than said |",
           "| ---: | ---: | ---: | ---: |", *rows].join("\n")
        end

        def chances = @chances ||= @runs.flat_map(&:chances)
        def brier = chances.sum { |likely, kept| (likely - (kept ? 1 : 0))**2 } / chances.size
        def base = chances.count(&:last).fdiv(chances.size).then { |share| share * (1 - share) }

        def bins
          chances.group_by { |likely, _| [(likely * BINS).floor, BINS - 1].min }.sort.map do |bin, some|
            said = some.sum(&:first) / some.size
            were = some.count(&:last).fdiv(some.size)
            from, to = [bin, bin + 1].map { |edge| 100 * edge / BINS }
            "| #{from} to #{to} % | #{some.size} | #{(100 * said).round} % | #{(100 * were).round} % |"
          end
        end

        def range(numbers, unit = "")
          low, high = numbers.minmax
          low == high ? "#{low}#{unit}" : "#{low} to #{high}#{unit}"
        end
      end
    end
  end
end
