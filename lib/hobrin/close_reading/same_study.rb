# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Whether two texts report the same people: two or more counts of how many are the same in both.
    # One may be chance; two of them are not (common practice, no source).
    module SameStudy
      ENOUGH = 2
      # A count that more texts share than these tells nothing.
      MOST_SHARED = 30
      private_constant :MOST_SHARED

      # one, two :: Passage
      def self.call(one, two) = (counts(one) & counts(two)).size >= ENOUGH

      # passages :: Hash of a key to Passage. Gives a Hash of each key to those of other texts that
      # report the same people.
      def self.among(passages)
        counts = passages.transform_values { |passage| counts(passage) }
        texts = Hash.new { |all, count| all[count] = [] }
        counts.each { |key, some| some.each { |count| texts[count] << key } }
        texts.reject! { |_, keys| keys.size > MOST_SHARED }
        counts.to_h do |key, some|
          shared = some.flat_map { |count| texts.fetch(count, []) }.tally.except(key)
          [key, shared.select { |_, times| times >= ENOUGH }.keys]
        end
      end

      # The counts that a text gives: Array of [part, whole].
      def self.counts(passage)
        passage.sentences.flat_map { |sentence| Share.all_in(sentence) }.map { |share| [share.part, share.whole] }.uniq
      end
    end
  end
end
