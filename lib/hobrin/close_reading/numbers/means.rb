# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # Means: within their scale, with a deviation that the scale allows, possible for whole
      # numbers (GRIM; Brown and Heathers, Soc Psychol Personal Sci 2017;8:363), and as far apart as
      # is said.
      class Means < Check
        NUMBER = Printed::PATTERN
        SCALE = /\bscale (?:from |of )?(?<low>\d+)\s?(?:to|-|–)\s?(?<high>\d+)/i
        MEAN = /(?<![\d.·])(?<mean>#{NUMBER})\s?\((?:SD|standard deviation)[ =:]?\s?(?<sd>#{NUMBER})\)(?: in | of |, n ?= ?)(?<n>\d{1,3}(?:,\d{3})+|\d+)/i
        # Means with their deviations, however many there were; and how far they are said to lie apart.
        ANY_MEAN = /(?<![\d.·])(?<mean>#{NUMBER})\s?(?:\((?:SD|standard deviation)[ =:]?\s?#{NUMBER}\)|±\s?#{NUMBER})/i
        APART = /(?<!risk )(?<!absolute )\bdifference(?:\s(?:was|of|is))?[\s:,(]{1,2}(?<value>#{NUMBER})(?![\d%])/i
        ADJUSTED = /\badjust|\bfrom baseline\b|\bchange/i
        WHOLE = /\b(?:whole numbers?|counted in whole|number of (?:falls|nights|days|wakings|calls|items)|likert)\b/i
        private_constant :NUMBER, :SCALE, :MEAN, :ANY_MEAN, :APART, :ADJUSTED, :WHOLE

        private

        def in_sentence(sentence)
          means = sentence.matches(MEAN)
          scale = sentence.text.match(SCALE)
          whole = scale || sentence.text.match?(WHOLE)
          [*means.flat_map { |match| mean(sentence, match, scale, whole) }, *difference(sentence)]
        end

        def mean(sentence, match, scale, whole)
          value, deviation, people = [match[:mean], match[:sd], match[:n]].map { |text| printed(text) }
          low, high = [scale[:low], scale[:high]].map(&:to_f) if scale
          off_scale = outside(sentence, match, value, low, high) if scale
          off_scale ||= spread(sentence, match, [value, deviation, people], low, high) if scale
          [off_scale, (grim(sentence, match, value, people) if whole)].compact
        end

        def outside(sentence, match, value, low, high)
          return if value.meets?(low, high)

          disagreement(:mean, sentence, match,
                       Book.t("close_reading.numbers.scale", limit: value.value > high ? high.to_i : low.to_i))
        end

        # The largest deviation is that of people who all stand at the two ends.
        def spread(sentence, match, numbers, low, high)
          value, deviation, people = numbers
          most = Math.sqrt([(value.value - low) * (high - value.value),
                            0].max * people.value / [people.value - 1, 1].max)
          return if deviation.low <= most + value.half

          disagreement(:deviation, sentence, match,
                       Book.t("close_reading.numbers.deviation", most: deviation.like(most)))
        end

        def grim(sentence, match, value, people)
          from, to = [value.low, value.high].map { |end_of| end_of * people.value }
          return if ((from - 1e-9).ceil..(to + 1e-9).floor).any?

          sums = [from.floor, to.ceil].map { |sum| value.like(sum / people.value) }.uniq
          disagreement(:grim, sentence, match,
                       Book.t("close_reading.numbers.whole_numbers", people: people.text, sums: sums.join(" or ")))
        end

        def difference(sentence)
          means = sentence.matches(ANY_MEAN)
          said = sentence.text.match(APART)
          return [] unless said && means.size == 2 && !sentence.text.match?(ADJUSTED)

          one, two = means.map { |match| printed(match[:mean]) }
          value = printed(said[:value])
          room = one.half + two.half
          apart = one.value - two.value
          return [] if [apart, -apart].any? { |number| value.meets?(number - room, number + room) }

          [disagreement(:difference, sentence, said, Book.t("close_reading.numbers.apart", difference: value.like(apart)))]
        end
      end
    end
  end
end
