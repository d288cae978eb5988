# frozen_string_literal: true

module Hobrin
  class Brief
    # Something that is counted to see whether a change works.
    #
    # id :: Integer from 1; name :: in words; sort :: key of SORTS; way :: key of WAYS
    # better :: :less or :more of it, nil while nobody has said
    # counted, of :: what is counted and of what, in words; target :: Float or nil, in the unit of the way
    # started :: the day on which the change began, a Date, or nil; points :: Array of Point in time
    class Measure < Value
      # A day and what was counted from then on: events and of how many (people, or days), or a
      # value.
      class Point < Value
        attributes :day, :events, :of

        def value = of ? events.fdiv(of) : events.to_f
      end

      attributes :id, :name, :sort, :way, :better, :counted, :of, :target, :started, :points

      SORTS = Book.names("brief.measure.type", %i[outcome process balancing])
      WAYS = Book.names("brief.measure.way", %i[share rate value])
      BETTER = Book.names("brief.measure.better", %i[less more])
      MOST_POINTS = 500
      private_constant :MOST_POINTS

      # Raises InputError naming the field.
      def initialize(id:, name:, sort: :outcome, way: :share, better: nil, counted: "", of: "", target: nil,
                     started: nil, points: [])
        @id = id
        @name, @counted, @of = [name, counted, of].map { |text| text.to_s.strip.freeze }
        @sort, @way = [sort, way].map { |choice| choice.to_s.to_sym }
        @better = better.to_s.empty? ? nil : better.to_sym
        @target = target&.to_f
        @started = started
        @points = points.sort_by(&:day).freeze
        check
        freeze
      end

      # Where the change began among the points: how many come before it. All, where no day is said.
      def before = started ? points.count { |point| point.day < started } : points.size

      # What makes it uncountable, as sentences.
      def missing
        missing = { numerator: counted.empty?, denominator: way != :value && of.empty?, direction: better.nil?, target: target.nil?,
                    start: started.nil? }.select { |_, is_missing| is_missing }.keys
        missing.map { |key| Book.t("brief.measure.missing.#{key}") }
      end

      private

      def check
        errors = FieldLengths.errors({ name:, counted:, of: }, { name: :measure, of: :counted })
        errors[:name] = Book.t("brief.measure.errors.name") if name.empty?
        errors[:sort] = Book.t("brief.measure.errors.type") unless SORTS.key?(sort)
        errors[:way] = Book.t("brief.measure.errors.way") unless WAYS.key?(way)
        errors[:better] = Book.t("brief.measure.errors.better") unless better.nil? || BETTER.key?(better)
        errors[:numbers] = Book.t("brief.measure.errors.most_points", most: MOST_POINTS) if points.size > MOST_POINTS
        raise InputError, errors unless errors.empty?
      end

      # How much a measure differs since a change, with its 95 % interval. It takes the points as
      # independent of each other, so the runs say more where one week follows from the last.
      #
      # Shares: people of all points together, by the method of Newcombe (Statistics::TwoByTwo::RiskDifference).
      # Rates: events as Poisson counts, with the normal interval of their difference. Values: the means
      # of the points, by Welch's t interval. The last two are common practice.
      class Difference
        # measure :: Measure
        def initialize(measure)
          @before, @after = [measure.points.first(measure.before), measure.points.drop(measure.before)]
          @way = measure.way
        end

        # Gives a Statistics::Interval, since minus before: of shares, of rates, or of values; nil where a
        # side is missing, or has a single value.
        def call
          return if @before.empty? || @after.empty?

          case @way
          when :share then share
          when :rate then rate
          else value
          end
        end

        private

        def share
          events, total, comparison_events, comparison_total = sums(@after) + sums(@before)
          return if events > total || comparison_events > comparison_total

          table = Statistics::TwoByTwo.new(events:, total:, comparison_events:, comparison_total:)
          Statistics::TwoByTwo::RiskDifference.call(table)
        end

        def rate
          rates = [@after, @before].map { |points| sums(points) }
          since, earlier = rates.map { |events, time| events.fdiv(time) }
          error = Math.sqrt(rates.sum { |events, time| events.fdiv(time**2) })
          interval(since - earlier, Statistics::Distributions::Normal::Z95 * error)
        end

        def value
          return if @before.size < 2 || @after.size < 2

          sides = [@after, @before].map { |points| points.map(&:value) }
          means = sides.map { |values| values.sum / values.size }
          parts = sides.zip(means).map { |values, mean| values.sum { |value| (value - mean)**2 } / (values.size - 1) / values.size }
          error = Math.sqrt(parts.sum)
          return interval(means.reduce(:-), 0.0) if error.zero?

          freedom = (parts.sum**2) / parts.zip(sides).sum { |part, values| (part**2) / (values.size - 1) }
          interval(means.reduce(:-), Statistics::Distributions::Student.quantile(0.975, freedom) * error)
        end

        def sums(points) = [points.sum(&:events), points.sum(&:of)]
        def interval(estimate, half) = Statistics::Interval.new(estimate:, low: estimate - half, high: estimate + half)
      end

      # Numbers in time as people paste them: a line for each day or week, the day first, parted by
      # semicolons, tabs, or commas; with a decimal comma where semicolons or tabs part them. A line
      # of headings is passed over.
      module Pasted
        MOST = 500
        ISO = /\A(\d{4})-(\d{1,2})-(\d{1,2})\z/
        EUROPEAN = %r{\A(\d{1,2})[./](\d{1,2})[./](\d{4})\z}
        private_constant :MOST, :ISO, :EUROPEAN

        class << self
          # text :: String; way :: key of Measure::WAYS. Gives an Array of Measure::Point. Raises InputError
          # (:numbers) naming the line.
          def read(text, way)
            FieldLengths.check(:numbers, text)
            lines = text.split("\n").map(&:strip).reject(&:empty?)
            refuse(:too_many_lines, nil, most: MOST) if lines.size > MOST
            points = lines.each_with_index.filter_map { |line, place| point(line, place, way) }
            twice = points.map(&:day).tally.find { |_, count| count > 1 }
            refuse(:twice, nil, day: twice.first.iso8601) if twice
            points
          end

          private

          # line :: its number, nil where none is to blame
          def refuse(key, line, **facts) = raise(InputError, { numbers: Book.t("brief.measure.pasted.#{key}", line:, **facts) })

          def point(line, place, way)
            day, *numbers = line.split(line.match?(/[;\t]/) ? /[;\t]/ : ",").map(&:strip)
            date = day_of(day.to_s)
            return if date.nil? && place.zero? && !day.to_s.match?(/\A\d/)

            number = place + 1
            refuse(:not_a_date, number, text: day.to_s[0, 20]) unless date
            way == :value ? single(date, numbers, number) : pair(date, numbers, number)
          end

          def day_of(text)
            year, month, day = if (match = text.match(ISO)) then match.captures
                               elsif (match = text.match(EUROPEAN)) then match.captures.reverse
                               end
            return unless year && Date.valid_date?(year.to_i, month.to_i, day.to_i)

            Date.new(year.to_i, month.to_i, day.to_i)
          end

          def single(date, numbers, line)
            value = Appraisal::Reported::Figures::Typed.number(numbers.first.to_s)
            refuse(:one_number, line) unless value && numbers.size == 1
            Measure::Point.new(day: date, events: value, of: nil)
          end

          def pair(date, numbers, line)
            events, of = numbers.map { |text| Appraisal::Reported::Figures::Typed.whole(text) }
            refuse(:two_numbers, line) unless numbers.size == 2 && events && of
            refuse(:denominator, line) unless of.positive?
            refuse(:negative, line, number: events.to_s) if events.negative?
            Measure::Point.new(day: date, events:, of:)
          end
        end
      end
    end
  end
end
