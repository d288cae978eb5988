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

        # Whether the interval of the effect leaves out "no effect"; nil without an effect.
        def difference? = effect && !0.between?(effect.low, effect.high)

        # What may be said of it: :less, :more, :alike for little or no difference, :unclear where
        # interval or certainty do not let anything be said; nil for what has no direction, such as
        # a share or a test.
        def direction
          return unless certainty && effect && pool.measure.nothing
          return :unclear if certainty.level == 1

          Wording::DIRECTIONS.fetch(found)
        end

        # Whether what is found is less than what is worth having.
        def slight? = %i[slightly_less slightly_more].include?(direction && found)

        # Whether what is found is a :benefit or a :harm; nil for neither.
        def side
          return unless %i[less more].include?(direction)

          direction == outcome.better ? :benefit : :harm
        end

        # In words; nil for what has no direction.
        def words
          direction && Wording.of(found:, level: certainty.level, name: outcome.name)
        end

        private

        def found
          Wording.said(effect.estimate, effect.low, effect.high, Certainty::Worthwhile.of(pool))
        end
      end
    end
  end
end
