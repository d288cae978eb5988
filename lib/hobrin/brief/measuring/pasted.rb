# frozen_string_literal: true

module Hobrin
  class Brief
    # Numbers in time as people paste them: a line for each day or week, the day first, parted by
    # semicolons, tabs, or commas; with a decimal comma where semicolons or tabs part them. A line
    # of headings is passed over.
    module Pasted
      LONGEST = 20_000
      MOST = 500
      ISO = /\A(\d{4})-(\d{1,2})-(\d{1,2})\z/
      EUROPEAN = %r{\A(\d{1,2})[./](\d{1,2})[./](\d{4})\z}
      private_constant :LONGEST, :MOST, :ISO, :EUROPEAN

      class << self
        # text :: String; way :: key of Measure::WAYS. Gives an Array of Measure::Point. Raises InputError
        # (:numbers) naming the line.
        def read(text, way)
          refuse("Paste at most #{LONGEST} characters.") if text.size > LONGEST
          lines = text.split("\n").map(&:strip).reject(&:empty?)
          refuse("Paste at most #{MOST} lines.") if lines.size > MOST
          points = lines.each_with_index.filter_map { |line, place| point(line, place, way) }
          twice = points.map(&:day).tally.find { |_, count| count > 1 }
          refuse("#{twice.first.iso8601} stands there twice.") if twice
          points
        end

        private

        def refuse(words) = raise(InputError, { numbers: words })

        def point(line, place, way)
          day, *numbers = line.split(line.match?(/[;\t]/) ? /[;\t]/ : ",").map(&:strip)
          date = day_of(day.to_s)
          return if date.nil? && place.zero? && !day.to_s.match?(/\A\d/)

          where = "Line #{place + 1}: "
          refuse("#{where}“#{day.to_s[0, 20]}” is no day, such as 2026-09-07.") unless date
          way == :value ? single(date, numbers, where) : pair(date, numbers, where)
        end

        def day_of(text)
          year, month, day = if (match = text.match(ISO)) then match.captures
                             elsif (match = text.match(EUROPEAN)) then match.captures.reverse
                             end
          return unless year && Date.valid_date?(year.to_i, month.to_i, day.to_i)

          Date.new(year.to_i, month.to_i, day.to_i)
        end

        def single(date, numbers, where)
          value = Appraisal::Reported::Figures::Typed.number(numbers.first.to_s)
          refuse("#{where}write one number behind the day.") unless value && numbers.size == 1
          Measure::Point.new(day: date, events: value, of: nil)
        end

        def pair(date, numbers, where)
          events, of = numbers.map { |text| Appraisal::Reported::Figures::Typed.whole(text) }
          refuse("#{where}write two whole numbers behind the day.") unless numbers.size == 2 && events && of
          refuse("#{where}of at least 1.") unless of.positive?
          refuse("#{where}#{events} cannot be below 0.") if events.negative?
          Measure::Point.new(day: date, events:, of:)
        end
      end
    end
  end
end
