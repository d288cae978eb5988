# frozen_string_literal: true

module Hobrin
  class Brief
    class Measure
      # A measure in time: where its points stand in a picture, and what they say.
      class Chart
        include Text::Numerals

        WIDTH = 640
        HEIGHT = 230
        EDGE = 40
        private_constant :WIDTH, :HEIGHT, :EDGE

        # A point: x, y :: places; label :: in words; outside :: whether it lies outside the
        #   limits
        class Mark < Value
          attributes :x, :y, :label, :outside
        end

        # measure :: Measure
        def initialize(measure)
          @measure = measure
          @reading = Reading.new(measure)
        end

        def any? = @reading.values.any?
        def words = @reading.words
        def frame = [WIDTH, HEIGHT]

        def marks
          outside = @reading.control&.outside || []
          @measure.points.each_with_index.map do |point, place|
            Mark.new(x: x(place), y: y(point.value), label: "#{day(point.day.iso8601)}: " \
                                                            "#{told(point.value)}",
                     outside: outside.include?(place))
          end
        end

        # [[x, y], …] of the lower limits and of the upper ones; none where there are no limits.
        def limits
          rows = @reading.control&.limits or return []
          [0, 1].map { |side| rows.each_with_index.map { |pair, place| [x(place), y(pair[side])] } }
        end

        def middle = @reading.middle && y(@reading.middle)
        def target = @measure.target && y(aimed)

        # Where the change began; nil where that is not among the points.
        def start
          before = @measure.before
          x(before - 0.5) if @measure.started && before.positive? && before < @measure.points.size
        end

        # [y, in words] of the marks at the side: round numbers, three to six of them.
        def ticks
          step = round_step
          first = (bottom / step).ceil
          (first..(top / step).floor).map { |times| [y(times * step), tick(times * step)] }
        end

        # [day, in words, numbers in words] of each point.
        def rows
          @measure.points.map do |point|
            counted = point.of ? Book.t("brief.events_of", events: point.events.to_s, all: point.of.to_s) : format("%g", point.events)
            [day(point.day.iso8601), counted, told(point.value)]
          end
        end

        # The median before and the median after, in words; nil where either is not there.
        def change
          after = Statistics.median(@reading.after)
          Book.t("brief.chart.medians", before: told(@reading.middle), since: told(after)) if after && @reading.middle
        end

        # The difference since the change, with its interval, in words; nil where it cannot be told.
        def difference
          found = Difference.new(@measure).call or return
          low, high = [found.low, found.high].map { |value| signed_value(value) }
          Book.t("brief.chart.#{share? ? "difference_per_100" : "difference"}", estimate: signed_value(found.estimate), low:, high:)
        end

        # How small a change in the direction that is wanted so many people could show at all; nil for what
        # is no share.
        def smallest
          return unless share? && @reading.before.any?

          people = @measure.points.first(@measure.before).sum(&:of)
          rise = @measure.better == :more
          size = Statistics::SampleSize.public_send(rise ? :smallest_rise : :smallest_fall, @reading.middle, people)
          size && Book.t("brief.chart.#{rise ? "smallest_rise" : "smallest_fall"}", people:, size: told(size))
        end

        private

        def share? = @measure.way == :share
        def aimed = share? ? @measure.target / 100 : @measure.target

        # With its sign; of a share in people of 100.
        def signed_value(value)
          sign = value.negative? ? "−" : "+"
          "#{sign unless value.zero?}#{share? ? points(value.abs) : exact(value.abs)}"
        end

        def tick(value)
          format("%g", (value * (@measure.way == :share ? 100 : 1)).round(6)).sub("-", "−")
        end

        # 1, 2 or 5 times a power of ten.
        def round_step
          rough = (top - bottom) / 5
          power = 10.0**Math.log10(rough).floor
          [1, 2, 5, 10].map { |times| times * power }.find { |step| step >= rough }
        end

        def told(value)
          @measure.way == :share ? Book.t("brief.per_100", value: points(value)) : exact(value)
        end

        # Small values with a figure more.
        def exact(value) = decimal(value, value.abs < 0.1 ? 3 : 2)

        def top
          upper = (@reading.control&.limits || []).map(&:last)
          most = [*@reading.values, *upper, *(aimed if @measure.target)].max
          most.positive? ? most * 1.08 : 1.0
        end

        # Nothing, or less where values are.
        def bottom
          least = [*@reading.values, *(@reading.control&.limits || []).map(&:first),
                   *(aimed if @measure.target), 0.0].min
          least.negative? ? least * 1.08 : 0.0
        end

        def x(place)
          steps = [@measure.points.size - 1, 1].max
          (EDGE + 30 + (place * (WIDTH - EDGE - 50) / steps.to_f)).round(1)
        end

        def y(value) = (10 + ((HEIGHT - 40) * (1 - ((value - bottom) / (top - bottom))))).round(1)
      end
    end
  end
end
