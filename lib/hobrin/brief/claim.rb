# frozen_string_literal: true

module Hobrin
  class Brief
    # What a conclusion claims, against what the summary of findings shows: outcome by outcome, its
    # direction, how surely it is said, and its size.
    module Claim
      # Something in the conclusion that the findings do not show.
      #
      # outcome :: its name, nil for a claim of no outcome by name; kind :: :direction, :surety or
      #   :size; words :: a sentence
      class Objection < Value
        attributes :outcome, :kind, :words
      end

      SAY = { 3 => :probably, 2 => :may, 1 => :cannot_tell }.transform_values { |key| Book.t("brief.claim.say.#{key}") }.freeze
      private_constant :SAY

      class << self
        # rows :: Array of Appraisal::Findings::Row. Gives a sentence to begin from; nil where
        # nothing is found.
        def proposed(rows)
          row = rows.find(&:words) or return
          without, with = row.hundred.first(2).map { |share| (100 * share).round } if row.side && row.hundred
          facts = { finding: row.words, certainty: row.certainty.word }
          return Book.t("brief.claim.proposed", **facts) unless without

          Book.t("brief.claim.proposed_with_risks", **facts, without:, with:)
        end

        # text :: String, the conclusion; rows :: as above. Gives an Array of Objection, at most one
        # for each outcome.
        def objections(text, rows)
          rows = rows.select(&:direction)
          return [] if rows.empty?

          assertions = Reading.new(rows.map { |row| row.outcome.name }).call(text)
          assertions.filter_map { |assertion| objection(assertion, rows) }.uniq(&:outcome)
        end

        private

        def objection(assertion, rows)
          return general(assertion, rows) unless assertion.outcome

          row = rows.find { |row| row.outcome.name == assertion.outcome }
          if !ways(assertion, row).include?(row.direction) then direction(row)
          elsif assertion.sure > row.certainty.level then surety(row)
          elsif Size.wrong?(assertion.clause, row) then size(row)
          end
        end

        # :better and :worse as less or more of the outcome.
        def ways(assertion, row)
          better, worse = row.outcome.better == :less ? %i[less more] : %i[more less]
          assertion.ways.map { |way| { better:, worse: }.fetch(way, way) }
        end

        # "It works": some outcome bears it out.
        def general(assertion, rows)
          fits = rows.select { |row| ways(assertion, row).include?(row.direction) }
          return if fits.any? { |row| row.certainty.level >= assertion.sure }

          return Objection.new(outcome: nil, kind: :direction, words: Book.t("brief.claim.none")) if fits.empty?

          best = fits.map(&:certainty).max_by(&:level)
          Objection.new(outcome: nil, kind: :surety,
                        words: Book.t("brief.claim.certainty", certainty: best.word, say: SAY.fetch(best.level)))
        end

        def direction(row)
          Objection.new(outcome: row.outcome.name, kind: :direction,
                        words: Book.t("brief.claim.otherwise", outcome: row.outcome.name, finding: row.words,
                                                               certainty: row.certainty.word))
        end

        def surety(row)
          Objection.new(outcome: row.outcome.name, kind: :surety,
                        words: Book.t("brief.claim.certainty_of", outcome: row.outcome.name, certainty: row.certainty.word,
                                                                  say: SAY.fetch(row.certainty.level)))
        end

        def size(row)
          told = Words::OfResult.new(row.pool.measure)
          found = "#{row.pool.measure.name} #{told.of(row.effect)}#{told.unit}"
          Objection.new(outcome: row.outcome.name, kind: :size,
                        words: Book.t("brief.claim.size", outcome: row.outcome.name, found:, hundred: hundred(row)))
        end

        def hundred(row)
          return unless row.hundred

          without, with, *ends = row.hundred.map { |share| (100 * share).round }
          Book.t("brief.claim.hundred", without:, with:, low: ends.min, high: ends.max)
        end
      end

      # How large a change a clause says it is, against the interval of what was found.
      module Size
        PER_HUNDRED = /\b(?<number>\d+(?:\.\d+)?) (?:fewer |more |less )?(?:\w+ )?(?:per|in|of|out of|for every) (?:every )?(?<of>10|100|1,?000)\b/i
        PARTS = { /\bhalv\w*|\bby (?:about |around |nearly )?(?:a )?half\b/i => 0.5, /\bby (?:about |around |nearly )?a third\b/i => 2 / 3.0,
                  /\bby (?:about |around |nearly )?a quarter\b/i => 0.75, /\bdoubl\w*/i => 2.0, /\btrebl\w*|\btripl\w*/i => 3.0 }.freeze
        MUCH = /\b(?:greatly|markedly|strongly|substantially|considerably|much|by far)\b/i
        private_constant :PER_HUNDRED, :PARTS, :MUCH

        class << self
          # clause :: String; row :: Appraisal::Findings::Row. Whether the clause gives a size that
          # the interval, as it is rounded on the page, leaves out.
          def wrong?(clause, row)
            outside_hundred?(clause, row) || outside_ratio?(clause, row) || (clause.match?(MUCH) && row.slight?)
          end

          private

          def outside_hundred?(clause, row)
            match = clause.match(PER_HUNDRED)
            return false unless match && row.hundred

            without, _, *ends = row.hundred.map { |share| (100 * share).round }
            low, high = ends.map { |share| (share - without).abs }.minmax
            !(100 * match[:number].to_f / match[:of].delete(",").to_f).between?(low, high)
          end

          def outside_ratio?(clause, row)
            said = PARTS.find { |pattern, _| clause.match?(pattern) }&.last
            return false unless said && row.pool.measure.ratio?

            !Math.log(said).between?(row.effect.low, row.effect.high)
          end
        end
      end
    end
  end
end
