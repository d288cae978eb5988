# frozen_string_literal: true

module Hobrin
  class Brief
    module Claim
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
