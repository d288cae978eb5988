# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # The groups against how many there were in all: "Of 322 patients, … in 31 of 162 … and in 48
      # of 160". People are lost on the way, so that groups may be fewer than all who began, never
      # more; only "Of 322" and "322 took part" name the very same people.
      class Groups < Check
        PEOPLE = "people|persons|patients|adults|children|participants|women|men|residents|nurses|infants|older adults"
        COUNT = '(?<total>\d{1,3}(?:,\d{3})+|\d+)'
        OF = /\A(?:Of|Among)(?: the| all)? #{COUNT}\b(?! \w+ (?:units|wards|hospitals|studies|trials))/
        SOME = /(?<![\d.,])#{COUNT} (?:[a-z-]+ )?(?:#{PEOPLE})/
        TOOK_PART = /#{SOME} (?:took part|were analy[sz]ed|completed the (?:trial|study))/
        BEGAN = /#{SOME} (?:were|was) (?:\w+ )?(?:included|enrolled|recruited|randomi[sz]ed)/
        # "240 adults were randomised, 118 to earplugs and 122 to usual care": what parts a total.
        ARM = /(?<![\d.,])(?<n>\d{1,3}(?:,\d{3})+|\d+)\s(?:(?:#{PEOPLE})\s)?(?:(?:were\s)?(?:allocated|assigned|randomi[sz]ed)\s)?(?:to|in|received|had|with|without|got)\b|\(\s?n\s?=\s?(?<n>\d{1,3}(?:,\d{3})+|\d+)\s?\)/i
        DIVIDED = /\brandomi[sz]ed\b|\brandomly\b|\ballocated\b|\bassigned\b|\benrolled\b|\btook part\b/i
        private_constant :PEOPLE, :COUNT, :OF, :SOME, :TOOK_PART, :BEGAN, :ARM, :DIVIDED

        def call
          @began = nil
          @passage.sentences.flat_map { |sentence| in_sentence(sentence) + divided(sentence) }
        end

        private

        def in_sentence(sentence)
          of = sentence.text.match(OF)
          began = sentence.text.match(TOOK_PART) || sentence.text.match(BEGAN)
          @began = [sentence, began] if began && !of
          pair = groups(sentence) or return []

          of ? same(sentence, of, pair.sum(&:whole)) : no_more(sentence, pair)
        end

        # Two arms are never more than all who were divided between them.
        def divided(sentence)
          total = sentence.text.match(SOME) if sentence.text.match?(DIVIDED)
          return [] unless total

          arms = sentence.matches(ARM).select { |match| match.begin(0) >= total.end(0) }.map { |match| match[:n].delete(",").to_i }
          return [] unless arms.size == 2 && arms.all? { |arm| arm <= count(total) } && arms.sum > count(total)

          [disagreement(:groups, sentence, total, Book.t("close_reading.numbers.groups_sum", sum: arms.sum))]
        end

        # The two groups of a sentence that names no others.
        def groups(sentence)
          pair, *more = Share::Pair.all_in(sentence)
          [pair.one, pair.two] if pair && more.empty? && Share.all_in(sentence).size == 2
        end

        def same(sentence, match, sum)
          total = count(match)
          return [] if sum == total

          [disagreement(:groups, sentence, match, Book.t("close_reading.numbers.groups_sum", sum:))]
        end

        def no_more(sentence, pair)
          in_which, match = @began
          return [] unless match && in_which.to <= sentence.from + pair.first.match.begin(0)

          sum, total = pair.sum(&:whole), count(match)
          @began = nil
          return [] if sum == total || (sum < total && !in_which.text.match?(TOOK_PART))

          [disagreement(:groups, in_which, match, Book.t("close_reading.numbers.groups_sum", sum:))]
        end

        def count(match) = match[:total].delete(",").to_i
      end
    end
  end
end
