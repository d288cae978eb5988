# frozen_string_literal: true

require "bigdecimal"

module Hobrin
  module Text
    # Numbers and days as people read them, the same on the screen and in every file.
    module Numerals
      THIN_SPACE = "\u2009"
      MINUS = "\u2212"
      # Beyond these, two places do not show a ratio.
      SMALLEST_RATIO = 0.005
      LARGEST_RATIO = 1_000
      private_constant :THIN_SPACE, :MINUS, :SMALLEST_RATIO, :LARGEST_RATIO

      # 12345 => "12 345", with a thin space.
      def number(count) = count.to_s.reverse.scan(/\d{1,3}/).join(THIN_SPACE).reverse

      # "1 paper", "26 papers"
      def count_of(count, noun) = Book.t("common.count.#{noun.tr(" ", "_")}", count:)

      # 0.125 => "0.13"; infinity => "∞". A half goes away from nothing, read off the number as it is
      # written and not off its binary neighbour.
      def decimal(value, digits = 2)
        return "#{MINUS if value.negative?}∞" if value.infinite?

        format("%.#{digits}f", BigDecimal(value.to_s).round(digits, half: :up)).sub(/\A-(?=.*[1-9])/,
                                                                                    MINUS).delete_prefix("-")
      end

      # 0.285 => "29": a share as a whole number of hundredths.
      def hundredths(share) = decimal(BigDecimal(share.to_s) * 100, 0)

      # 0.1234 => "12.3". What is not nothing is not shown as nothing: 0.0002 => "0.02".
      def points(share)
        all = BigDecimal(share.to_s) * 100
        digits = (1..4).find { |count| all.zero? || !all.round(count, half: :up).zero? } || 4
        decimal(all, digits)
      end

      # 0.684 => "0.68". A ratio that two places cannot show is told in words.
      def ratio_in_words(value)
        return Book.t("common.ratio.under") if value < SMALLEST_RATIO

        value > LARGEST_RATIO ? Book.t("common.ratio.over", number: LARGEST_RATIO) : decimal(value)
      end

      def signed(count) = count.negative? ? "#{MINUS}#{number(-count)}" : "+#{number(count)}"

      # The text with a capital at its head.
      def capital(text) = text[0].upcase + text[1..]

      # ISO 8601 text => "23 Nov 2026"
      def day(text) = Date.parse(text.to_s).strftime("%-d %b %Y")
    end
  end
end
