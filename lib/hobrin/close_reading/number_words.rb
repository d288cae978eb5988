# frozen_string_literal: true

module Hobrin
  module CloseReading
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
