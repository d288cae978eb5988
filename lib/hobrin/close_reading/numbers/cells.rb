# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # The four results of a test against how many had the condition, how many were tested, and how
      # often the test is said to be right.
      class Cells < Check
        N = '(\d{1,3}(?:,\d{3})+|\d+)'
        POSITIVE = /#{N} true (?:positives? )?(?:and|,) #{N} false positives?/
        NEGATIVE = /#{N} false (?:negatives? )?(?:and|,) #{N} true negatives/
        PATTERN = /#{POSITIVE}(?:,| and) #{NEGATIVE}/
        PEOPLE = /\b(?:Of|Among) #{N} (?:people|patients|adults|children|participants)[, ]+(?:of whom )?#{N} had\b/
        TOLD = /\b(?<name>sensitivity|specificity) (?:(?:was|of) )?(?<part>\d+) of (?<whole>\d+)/i
        private_constant :N, :POSITIVE, :NEGATIVE, :PATTERN, :PEOPLE, :TOLD

        def call
          sentence = @passage.sentences.find { |sentence| sentence.text.match?(PATTERN) } or return []
          match = sentence.text.match(PATTERN)
          cells = match.captures.map { |text| text.delete(",").to_i }
          [*sums(sentence, cells), *rates(cells)]
        end

        private

        def sums(sentence, cells)
          people = sentence.text.match(PEOPLE) or return []
          all, ill = people.captures.map { |text| text.delete(",").to_i }
          found, _, missed, = cells
          together = "the four results are #{cells.sum} together" unless cells.sum == all
          with = "#{found} found and #{missed} missed are #{found + missed}" unless found + missed == ill
          [*together, *with].map { |words| disagreement(:cells, sentence, people, words) }
        end

        def rates(cells)
          found, wrong, missed, cleared = cells
          right = { "sensitivity" => [found, found + missed],
                    "specificity" => [cleared, cleared + wrong] }
          @passage.sentences.flat_map do |sentence|
            sentence.matches(TOLD).filter_map do |match|
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
