# frozen_string_literal: true

module Hobrin
  module CloseReading
    # A number as it is printed: what it may have been before it was rounded.
    class Printed < Value
      # text :: as printed; value :: Float; half :: half a step of its last place
      attributes :text, :value, :half

      # A number in a text: with or without a sign, thousands parted by commas, decimals by a point
      # (or the raised point of some journals).
      PATTERN = /[-−]?(?:\d{1,3}(?:,\d{3})+|\d+)(?:[.·]\d+)?/
      # Numbers are worked out in binary: what is this near to a limit is on it.
      SLACK = 1e-9
      private_constant :SLACK

      # text :: what PATTERN matched
      def self.read(text)
        plain = text.delete(",").tr("−·", "-.")
        new(text:, value: plain.to_f, half: 0.5 * (10.0**-plain[/\.(\d+)/, 1].to_s.size))
      end

      def low = value - half
      def high = value + half
      def whole? = !text.match?(/[.·]/)
      def to_i = value.round

      # Whether a number that was worked out may have been printed so.
      def fits?(number) = number.between?(low - slack, high + slack)

      # Whether any number between two limits may have been.
      def meets?(from, to) = from <= high + slack && to >= low - slack

      # A number worked out, with as many places as this one.
      def like(number)
        return number.to_s unless number.finite?

        format("%.#{[text[/[.·](\d+)/, 1].to_s.size, 0].max}f", number)
      end

      private

      def slack = SLACK * [1.0, value.abs].max

      # Numbers that stand in words at the head of a sentence: "Thirty-one of 162".
      module NumberWords
        ONES = %w[zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen
                  seventeen eighteen nineteen].freeze
        TENS = { "twenty" => 20, "thirty" => 30, "forty" => 40, "fifty" => 50, "sixty" => 60, "seventy" => 70,
                 "eighty" => 80, "ninety" => 90 }.freeze
        WORD = /\b(?:(?<tens>#{TENS.keys.join("|")})(?:[- ](?<ones>#{ONES[1..9].join("|")}))?|(?<small>#{ONES.join("|")}))(?= (?:of|out of|patients|people|\())/i
        private_constant :ONES, :TENS, :WORD

        # The text with such numbers in figures, filled up with spaces so that all stays where it is.
        def self.in_figures(text)
          text.gsub(WORD) do |words|
            match = Regexp.last_match
            number(match).to_s.rjust(words.size)
          end
        end

        def self.number(match)
          tens, ones, small = match.values_at(:tens, :ones, :small).map { |word| word&.downcase }
          small ? ONES.index(small) : TENS.fetch(tens) + ONES.index(ones.to_s).to_i
        end
        private_class_method :number
      end
    end
  end
end
