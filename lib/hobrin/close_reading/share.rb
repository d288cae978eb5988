# frozen_string_literal: true

module Hobrin
  module CloseReading
    # A count that a text gives of how many: "31 of 162 (19.1%)".
    #
    # part, whole :: Integers; percent :: Printed or nil; sentence :: Passage::Sentence; match ::
    #   MatchData in it
    class Share < Value
      attributes :part, :whole, :percent, :sentence, :match

      COUNT = /\d{1,3}(?:,\d{3})+|\d+/
      PERCENT = /\d+(?:[.·]\d+)?\s?(?:%|per ?cent\b)/
      # What is counted may stand between: "38 of 412 residents (12.9 %)".
      WHO = /(?:\s(?:[a-z-]+\s){0,2}?(?:patients|people|persons|adults|children|infants|babies|women|men|residents|nurses|participants))?/
      BEFORE = /(?<![\d.·,])/
      AFTER = /(?![.·,]?\d)/
      PATTERNS = [
        %r{#{BEFORE}(?<part>#{COUNT})\s?(?:of|out of|/)\s?(?:the )?(?<whole>#{COUNT})#{AFTER}(?:(?:#{WHO})\s?[(\[]\s?(?<percent>#{PERCENT})[)\]]|\s?[,;]\s?(?<percent>#{PERCENT}))?},
        /#{BEFORE}(?<part>#{COUNT})\s?\((?<percent>#{PERCENT})\)\s?(?:of|out of)\s?(?:the )?(?<whole>#{COUNT})#{AFTER}/,
        %r{(?<percent>#{PERCENT})\s?\((?<part>#{COUNT})\s?(?:of|out of|/)\s?(?<whole>#{COUNT})\)},
        /\b[OA](?:f|mong)\s(?:the\s)?(?<whole>#{COUNT})#{WHO}(?:\s[a-z]+){0,4},?\s(?<part>#{COUNT})#{WHO}\s?\((?<percent>#{PERCENT})\)/
      ].freeze
      # What looks like a count and is none: "58 of 100" on a scale, "6.1 of 10".
      SCALE = /\b(?:rated|rating|score[ds]?|scale|median|mean|points?)\b/i
      private_constant :COUNT, :PERCENT, :WHO, :BEFORE, :AFTER, :PATTERNS, :SCALE

      class << self
        # All that a sentence gives, in order.
        def all_in(sentence)
          found = PATTERNS.flat_map { |pattern| sentence.matches(pattern) }
                          .sort_by { |match| [match.begin(0), -match[0].size] }
          found.reduce([]) { |kept, match| kept.last && match.begin(0) < kept.last.end(0) ? kept : [*kept, match] }
               .filter_map { |match| share(sentence, match) }
        end

        private

        def share(sentence, match)
          part, whole = [match[:part], match[:whole]].map { |text| text.delete(",").to_i }
          percent = match[:percent] && Printed.read(match[:percent][Printed::PATTERN])
          return if whole.zero? || (percent.nil? && (scale?(sentence, match) || whole < 5))

          new(part:, whole:, percent:, sentence:, match:)
        end

        def scale?(sentence, match) = sentence.text[0...match.begin(0)].match?(SCALE)
      end

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
end
