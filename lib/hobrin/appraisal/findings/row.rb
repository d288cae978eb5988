# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Findings
      # A line of the table of findings: one outcome.
      #
      # pool :: Together::Pool; certainty :: Certainty, nil where no paper is counted
      class Row < Value
        attributes :pool, :certainty

        def outcome = pool.outcome

        # The pooled effect, or that of the only paper: anything with estimate, low and high; nil
        # where papers stand one by one.
        def effect
          return pool.pooled if pool.pooled
          return if pool.tests || pool.studies.size != 1 || pool.open_traps.any?

          Together::Pooling.inverse(pool.results, pool.way)
        end

        # Of 100 like ours: [without, with, lowest, highest], 0 to 1; nil where it cannot be told.
        def hundred
          baseline, one = [pool.baseline, effect]
          return unless baseline && one && outcome.sort.baseline?

          with = [one.estimate, one.low, one.high].map do |value|
            Hundred.with(pool.measure, value, baseline)
          end
          [baseline, *with] if with.all?
        end

        # In words; nil for what has no direction, such as a share or a test.
        def words
          return unless certainty && effect && pool.measure.nothing

          Wording.of(estimate: effect.estimate, low: effect.low, high: effect.high, worth: Certainty::Worthwhile.of(pool),
                     level: certainty.level, name: outcome.name)
        end
      end
    end
  end
end
