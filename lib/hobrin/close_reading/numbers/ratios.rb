# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # Effects against their counts, and against their intervals: that of a ratio is even about it
      # on the logarithmic scale, that of a difference on the plain one.
      class Ratios < Check
        # How far an interval may be from even, in parts of its width, beyond rounding: exact and
        # adjusted methods are not quite even (common practice, no source).
        UNEVEN = 0.15
        private_constant :UNEVEN

        private

        def in_sentence(sentence)
          shares = Share.all_in(sentence)
          Estimate.all_in(sentence).flat_map do |estimate|
            [counts(sentence, estimate, shares), *interval(sentence, estimate)].compact
          end
        end

        # Either group may be the first.
        def counts(sentence, estimate, shares)
          return unless shares.size == 2 && %i[risk_ratio odds_ratio].include?(estimate.measure)
          return if sentence.text[0...estimate.match.begin(0)].match?(/adjusted (?:for )?\S*\s*\z/i)

          found = [shares, shares.reverse].map { |one, two| ratio(estimate.measure, one, two) }
          return if found.any?(&:nil?) || found.any? { |number| estimate.value.fits?(number) }

          disagreement(:ratio, sentence, estimate.match,
                       Book.t("close_reading.numbers.counts_give", value: estimate.value.like(found.first)))
        end

        def ratio(measure, one, two)
          a, b, c, d = [one.part, one.whole - one.part, two.part, two.whole - two.part].map(&:to_f)
          return if [a, b, c, d].any? { |cell| cell <= 0 }

          measure == :risk_ratio ? (a / (a + b)) / (c / (c + d)) : a * d / (b * c)
        end

        def interval(sentence, estimate)
          return [] unless estimate.interval?
          return [turned(sentence, estimate)] if estimate.low.value > estimate.high.value

          [outside(sentence, estimate) || uneven(sentence, estimate)]
        end

        def turned(sentence, estimate)
          disagreement(:limits, sentence, estimate.match,
                       Book.t("close_reading.numbers.more_than", part: estimate.low.text, whole: estimate.high.text))
        end

        def outside(sentence, estimate)
          return if estimate.value.meets?(estimate.low.low, estimate.high.high)

          disagreement(:interval, sentence, estimate.match,
                       Book.t("close_reading.numbers.not_between", value: estimate.value.text, low: estimate.low.text,
                                                                   high: estimate.high.text))
        end

        def uneven(sentence, estimate)
          from, to = middle(estimate, &:low), middle(estimate, &:high)
          return if from.nil? || to.nil?

          room = UNEVEN * (estimate.high.value - estimate.low.value) / 2
          return if estimate.value.meets?(from - room, to + room)

          even = (from + to) / 2
          disagreement(:interval, sentence, estimate.match,
                       Book.t("close_reading.numbers.even_about", value: estimate.value.like(even)))
        end

        def middle(estimate)
          low, high = yield(estimate.low), yield(estimate.high)
          return (low + high) / 2 unless estimate.ratio?

          Math.sqrt(low * high) if low.positive? && high.positive?
        end
      end
    end
  end
end
