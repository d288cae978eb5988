# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # Intervals against p values: a 95 % interval that leaves out "no difference" goes with p
      # below 0.05, one that takes it in with p above. Near the line other tests may say otherwise,
      # so only what is clearly on the other side is told. And a p value lies between 0 and 1.
      class PValues < Check
        ANY = /\bp\s?(?:[=<>≤≥])\s?(?<p>\d?[.·]\d+|\d+(?:[.·]\d+)?)/i
        # Clearly on one side of 0.05 (common practice, no source).
        CLEARLY = (0.03..0.08)
        private_constant :ANY, :CLEARLY

        private

        def in_sentence(sentence)
          impossible = sentence.matches(ANY).reject do |match|
            printed(match[:p]).value.between?(0, 1)
          end
          impossible.map { |match| disagreement(:no_p_value, sentence, match, Book.t("close_reading.numbers.p_range")) } +
            Estimate.all_in(sentence).filter_map { |estimate| against_interval(sentence, estimate) }
        end

        def against_interval(sentence, estimate)
          return unless estimate.interval? && estimate.p && estimate.level.round(1).to_s == "95.0"

          worked_out = p_of(estimate) or return
          if (said = side(*estimate.p)).nil? || CLEARLY.cover?(worked_out) || said == (worked_out < CLEARLY.begin)
            return
          end

          disagreement(:p_value, sentence, estimate.match,
                       Book.t("close_reading.numbers.p", p: about(worked_out)))
        end

        # Whether a p value is said to be below 0.05; nil when it does not tell.
        def side(relation, value)
          case relation
          when "<", "≤" then true if value.value <= 0.05
          when ">", "≥" then false if value.value >= 0.05
          else value.value < 0.05 unless value.value.between?(0.045, 0.055)
          end
        end

        # From a normal distribution about the estimate (Altman and Bland, BMJ 2011;343:d2304, from
        # memory).
        def p_of(estimate)
          values = [estimate.value, estimate.low, estimate.high].map(&:value)
          return if estimate.ratio? && values.any? { |value| value <= 0 }

          middle, low, high = estimate.ratio? ? values.map { |value| Math.log(value) } : values
          error = (high - low) / (2 * Statistics::Distributions::Normal::Z95)
          error.positive? ? Math.erfc((middle / error).abs / Math.sqrt(2)) : nil
        end

        def about(value)
          return Book.t("close_reading.numbers.small_p") if value < 0.001

          Book.t("close_reading.numbers.about_p", value: value.round(value < 0.1 ? 3 : 2))
        end
      end
    end
  end
end
