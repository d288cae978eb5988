# frozen_string_literal: true

module Hobrin
  class Brief
    class Measure
      # What a measure in time says of a change: the values about the median of the time before, and,
      # from twelve points before it on, between the limits of chance.
      class Reading
        # measure :: Measure
        def initialize(measure)
          @measure = measure
        end

        def values = @values ||= @measure.points.map(&:value)
        def before = values.first(@measure.before)
        def after = values.drop(@measure.before)
        def middle = Statistics.median(before)

        # Statistics::RunChart of the values after the change about the middle of those before; nil
        # without both.
        def run
          return if before.empty? || after.empty?

          @run ||= Statistics::RunChart.new(after, middle:)
        end

        # Statistics::ControlChart::Chart; nil for fewer than twelve points before, and where those do
        # not vary.
        def control
          return @control if defined?(@control)

          @control = enough? ? charted : nil
        end

        # What it says, in sentences.
        def words
          return ["No data yet."] if values.empty?
          return ["All data are from before the change (baseline only)."] if after.empty?
          return ["There are no baseline data to compare with."] if before.empty?

          [*by_runs, *by_limits]
        end

        # Whether anything is there that chance seldom makes: a long run, few crossings, or a point
        # outside the limits. Six on one side and five that go on are hints only, since noise makes
        # them in a quarter to a half of all series (docs/acting.md).
        def sign? = [run&.call&.sign?, outside_after.any?].any?

        # Which way it went: :better, :worse, or :higher and :lower where no target tells which of
        # them is wanted; nil where it did not move.
        def direction
          moved = after.sum.fdiv(after.size) - middle if run
          return if moved.nil? || moved.zero?
          return moved.positive? ? :higher : :lower unless wanted

          moved.positive? == (wanted == :more) ? :better : :worse
        end

        # What is said of it in a list.
        def in_short
          return "no data yet" if values.empty?
          return "no change beyond chance" unless sign?

          "changed beyond chance#{": #{direction}" if direction}"
        end

        private

        def enough? = before.size >= Statistics::ControlChart::FEWEST && !middle.nil?

        # Whether more or less of it is wanted: as it was said, or else by the target.
        def wanted
          return @measure.better if @measure.better

          target = @measure.target or return
          target /= 100 if @measure.way == :share
          return if target == middle

          target > middle ? :more : :less
        end

        def charted
          pairs = @measure.points.map { |point| [point.events, point.of] }
          case @measure.way
          when :share then (Statistics::ControlChart.shares(pairs, before: before.size) if shares?)
          when :rate then Statistics::ControlChart.rates(pairs, before: before.size)
          else Statistics::ControlChart.singles(values, before: before.size)
          end
        end

        def shares? = @measure.points.all? { |point| point.events <= point.of }

        def outside_after = (control&.outside || []).select { |place| place >= before.size }

        def by_runs
          found = run.call
          side = after.count { |value| value < middle }
          said = ["#{side} of #{after.size} points since the change lie below the median from " \
                  "before."]
          unless found
            return [*said, "At least 10 points not on the median are needed; there are " \
                           "#{after.count { |value| value != middle }}."]
          end

          [*said, longest(found), crossings(found), hint].compact
        end

        # What Perla's rules see beside the others; nil for nothing.
        def hint
          seen = [("six or more in a row lie on one side" if run.shift?),
                  ("five or more in a row go on rising or falling" if run.trend?)].compact
          "As a hint, since chance alone does this in a quarter to a half of all series: #{seen.join("; ")}." if seen.any?
        end

        def longest(found)
          "The longest run on one side is #{found.longest}; chance allows for #{found.longest_limit}" \
            "#{found.long? ? ": #{change}." : "."}"
        end

        def crossings(found)
          fewest = found.crossings_limit
          "The line crosses the median #{found.crossings} times; by chance it does #{fewest} times or more" \
            "#{found.few_crossings? ? ": #{change}." : "."}"
        end

        def change
          word = { better: "for the better", worse: "for the worse", higher: "to higher values", lower: "to lower ones" }[direction]
          ["this is a change", word].compact.join(" ")
        end

        def by_limits
          return ["Control limits need at least 12 baseline points; there are #{before.size}."] unless enough?
          return ["The baseline does not vary, so no control limits can be calculated."] unless control

          count = outside_after.size
          return ["No point since the change lies outside the control limits."] if count.zero?

          ["#{count} since the change #{count == 1 ? "lies" : "lie"} outside the control limits: #{change}."]
        end
      end
    end
  end
end
