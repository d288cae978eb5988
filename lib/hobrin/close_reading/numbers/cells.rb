# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # The four results of a test against how many had the condition, how many were tested, and how
      # often the test is said to be right.
      class Cells < Check
        N = '(\d{1,3}(?:,\d{3})+|\d+)'
        FALSE_NEGATIVE = /#{N} false negatives?|#{N} false and #{N} true negatives/
        PATTERN = /#{N} true (?:positives? )?(?:and|,) #{N} false positives?(?:,| and) #{N} false (?:negatives? )?(?:and|,) #{N} true negatives/
        PEOPLE = /\b(?:Of|Among) #{N} (?:people|patients|adults|children|participants)[, ]+(?:of whom )?#{N} had\b/
        TOLD = /\b(?<name>sensitivity|specificity) (?:was|of) (?<part>\d+) of (?<whole>\d+)|\b(?<name>sensitivity|specificity) (?<part>\d+) of (?<whole>\d+)/i
        private_constant :N, :FALSE_NEGATIVE, :PATTERN, :PEOPLE, :TOLD

        def call
          sentence = @passage.sentences.find { |one| one.text.match?(PATTERN) } or return []
          match = sentence.text.match(PATTERN)
          cells = match.captures.map { |text| text.delete(",").to_i }
          [*sums(sentence, cells), *rates(cells)]
        end

        private

        def sums(sentence, cells)
          people = sentence.text.match(PEOPLE) or return []
          all, ill = people.captures.map { |text| text.delete(",").to_i }
          found, _, missed, = cells
          [([:all, cells.sum] unless cells.sum == all), ([:ill, found + missed] unless found + missed == ill)].compact
            .map do |what, sum|
              disagreement(:cells, sentence, people,
                           what == :all ? "the four results are #{sum} together" : "#{found} found and #{missed} missed are #{sum}")
            end
        end

        def rates(cells)
          found, wrong, missed, cleared = cells
          right = { "sensitivity" => [found, found + missed], "specificity" => [cleared, cleared + wrong] }
          @passage.sentences.flat_map do |sentence|
            each_match(sentence, TOLD).filter_map do |match|
              told = [match[:part], match[:whole]].map(&:to_i)
              should = right.fetch(match[:name].downcase)
              disagreement(:cells, sentence, match, "the four results give #{should.join(" of ")}") unless told == should
            end
          end
        end
      end
    end
  end
end
