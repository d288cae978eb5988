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
          return [text(:no_data)] if values.empty?
          return [text(:baseline_only)] if after.empty?
          return [text(:no_baseline)] if before.empty?

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
          return text(:short_no_data) if values.empty?
          return text(:short_no_change) unless sign?

          text(direction ? :"short_changed_#{direction}" : :short_changed)
        end

        private

        def text(key, **gaps) = Book.t("brief.reading.#{key}", **gaps)

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
          said = [text(:below_median, below: side, all: after.size)]
          return [*said, text(:too_few_points, count: after.count { |value| value != middle })] unless found

          [*said, longest(found), crossings(found), hint].compact
        end

        # What Perla's rules see beside the others; nil for nothing.
        def hint
          seen = [(text(:shift) if run.shift?), (text(:trend) if run.trend?)].compact
          text(:hint, seen: seen.join("; ")) if seen.any?
        end

        def longest(found)
          said = text(:longest_run, longest: found.longest, limit: found.longest_limit)
          found.long? ? text(:with_change, said:, change:) : "#{said}."
        end

        def crossings(found)
          fewest = found.crossings_limit
          said = text(:crossings, count: found.crossings, fewest:)
          found.few_crossings? ? text(:with_change, said:, change:) : "#{said}."
        end

        def change
          text(direction ? :"change_#{direction}" : :change)
        end

        def by_limits
          return [text(:few_baseline_points, count: before.size)] unless enough?
          return [text(:no_variation)] unless control

          count = outside_after.size
          return [text(:none_outside)] if count.zero?

          [text(:outside, count:, change:)]
        end
      end
    end
  end
end
