# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Two groups that a sentence counts one beside the other: "31 of 162 with earplugs and 48 of 160
    # with usual care".
    #
    # one, two :: Shares
    class Pair < Value
      attributes :one, :two

      BESIDE = /\b(?:and|versus|vs|compared|against)\b/
      # Of a test, the two counts are not of two groups.
      TEST = /\bspecificity\b/
      private_constant :BESIDE, :TEST

      # All pairs of a sentence, in order.
      def self.all_in(sentence)
        Share.all_in(sentence).each_slice(2).filter_map do |one, two|
          between = two && sentence.text[one.match.end(0)...two.match.begin(0)]
          new(one:, two:) if between&.match?(BESIDE) && !between.match?(TEST)
        end
      end

      # The four numbers, in the order of a Statistics::TwoByTwo.
      def numbers = [one.part, one.whole, two.part, two.whole]
      def possible? = [one, two].all? { |share| share.part <= share.whole }
      def sentence = one.sentence
    end
  end
end
