# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Whether two texts report the same people: two or more counts of how many are the same in both.
    # One may be chance; two of them are not (common practice, no source).
    module SameStudy
      ENOUGH = 2

      # one, two :: Passage
      def self.call(one, two) = (counts(one) & counts(two)).size >= ENOUGH

      # The counts that a text gives: Array of [part, whole].
      def self.counts(passage)
        passage.sentences.flat_map do |sentence|
          Share.all_in(sentence)
        end.map { |share| [share.part, share.whole] }.uniq
      end
    end
  end
end
