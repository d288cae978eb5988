# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Whether the numbers of a text fit together, as far as it gives enough of them: each is worked
    # out anew within what rounding allows.
    module Numbers
      # Two numbers of a text that do not agree. It says nothing of whose fault that is: a slip of the
      # pen, a slip of ours, or people that the abstract does not name.
      #
      # kind :: one of KINDS; says :: what stands in the text; worked_out :: what follows from its
      #   other numbers, in words; from, to :: where the first of them stands, as in a Passage
      class Disagreement < Value
        attributes :kind, :says, :worked_out, :from, :to

        KINDS = Book.names("close_reading.numbers.kind",
                           %i[share more_than_all impossible_share ratio difference interval limits p_value no_p_value groups mean grim
                              deviation cells cost])

        def name = KINDS.fetch(kind)
      end

      # What all checks have in common. A subclass writes `in_sentence`, or `call` when it looks at
      # more than one sentence at a time.
      class Check
        NUMBER = Printed::PATTERN
        private_constant :NUMBER

        # passage :: Passage
        def initialize(passage)
          @passage = passage
        end

        # Array of Disagreement.
        def call
          @passage.sentences.select(&:numbers?).flat_map { |sentence| in_sentence(sentence) }
        end

        private

        def disagreement(kind, sentence, match, worked_out)
          Disagreement.new(kind:, says: match[0].strip, worked_out:, from: sentence.from + match.begin(0),
                           to: sentence.from + match.end(0))
        end

        def printed(text) = Printed.read(text)
      end

      # Counts with percentages: "31 of 162 (19.1%)"; no part is more than its whole; and no count
      # gives "19.3% of 20".
      class Shares < Check
        ALONE = /(?<![\d.·,(])(?<percent>\d+[.·]\d+|\d+)\s?% of (?:the |all )?(?<whole>\d{1,3}(?:,\d{3})+|\d+)(?![.·]\d|\s?%)/
        private_constant :ALONE

        private

        def in_sentence(sentence)
          Share.all_in(sentence).filter_map { |share| of(sentence, share) } +
            sentence.matches(ALONE).filter_map { |match| alone(sentence, match) }
        end

        def of(sentence, share)
          if share.part > share.whole
            return disagreement(:more_than_all, sentence, share.match,
                                Book.t("close_reading.numbers.more_than", part: share.part, whole: share.whole))
          end
          return if share.percent.nil? || share.percent.fits?(percentage(share))

          disagreement(:share, sentence, share.match,
                       Book.t("close_reading.numbers.percentage", part: share.part, whole: share.whole,
                                                                  percent: share.percent.like(percentage(share))))
        end

        def percentage(share) = 100.0 * share.part / share.whole

        def alone(sentence, match)
          percent, whole = [match[:percent], match[:whole]].map { |text| printed(text) }
          return if whole.value.zero?

          from, to = [percent.low, percent.high].map { |end_of| end_of * whole.value / 100 }
          near = (from + 1e-9).floor..(to - 1e-9).ceil
          return if near.any? { |count| percent.fits?(100.0 * count / whole.value) }

          disagreement(:impossible_share, sentence, match,
                       Book.t("close_reading.numbers.no_count", whole: whole.text, percent: percent.text))
        end
      end

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
          together = Book.t("close_reading.numbers.cells", sum: cells.sum) unless cells.sum == all
          with = Book.t("close_reading.numbers.found_and_missed", found:, missed:, sum: found + missed) unless found + missed == ill
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
              unless told == should
                disagreement(:cells, sentence, match,
                             Book.t("close_reading.numbers.cells_give", share: should.join(" of ")))
              end
            end
          end
        end
      end

      # The cost of one against the cost of all: "cost 31 a person, 4,030 for all 130".
      class Costs < Check
        N = '(\d{1,3}(?:,\d{3})+|\d+)'
        PATTERN = /\bcost (?:[€$£] ?)?#{N} (?:a|per|each) (?:person|patient)?,? (?:and )?(?:[€$£] ?)?#{N} for all #{N}\b/
        private_constant :N, :PATTERN

        private

        def in_sentence(sentence)
          sentence.matches(PATTERN).filter_map do |match|
            each, all, people = match.captures.map { |text| text.delete(",").to_i }
            unless each * people == all
              disagreement(:cost, sentence, match,
                           Book.t("close_reading.numbers.cost", people:, each:, sum: each * people))
            end
          end
        end
      end

      CHECKS = [Shares, Groups, Ratios, Means, PValues, Cells, Costs].freeze
      private_constant :CHECKS

      # passage :: Passage. Gives an Array of Disagreement in the order of the text.
      def self.call(passage)
        found = CHECKS.flat_map { |check| check.new(passage).call }
        found.uniq.sort_by { |number| [number.from, number.kind] }
      end
    end
  end
end
