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
          number = match[:small] ? ONES.index(match[:small].downcase) : TENS.fetch(match[:tens].downcase) + ONES.index(match[:ones].to_s.downcase).to_i
          number.to_s.rjust(words.size)
        end
      end
    end
  end
end
