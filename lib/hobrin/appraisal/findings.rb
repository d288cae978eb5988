# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What all outcomes come to, line by line, and how far findings of experience studies can be
    # relied on.
    module Findings
      # The most important outcomes first.
      ORDER = Outcome::MATTERS.keys.freeze

      # pools :: Array of Appraisal::Synthesis::Pool; kind :: of the question, or nil; protocols :: see Certainty
      # Gives an Array of Row.
      def self.table(pools, kind:, protocols: 0)
        rows = pools.map { |pool| Row.new(pool:, certainty: Certainty.of(pool, kind:, protocols:)) }
        rows.sort_by.with_index { |row, place| [ORDER.index(row.outcome.matters), place] }
      end

      # A line of the table of findings: one outcome.
      #
      # pool :: Appraisal::Synthesis::Pool; certainty :: Certainty, nil where no paper is counted
      class Row < Value
        attributes :pool, :certainty

        def outcome = pool.outcome

        # The pooled effect, or that of the only paper: anything with estimate, low and high; nil
        # where papers stand one by one.
        def effect
          return pool.pooled if pool.pooled
          return if pool.tests || pool.studies.size != 1 || pool.open_traps.any?

          Synthesis::Pooling.inverse(pool.results, pool.way)
        end

        # Of 100 like ours: [without, with, lowest, highest], 0 to 1; nil where it cannot be told.
        def hundred
          baseline, one = [pool.baseline, effect]
          return unless baseline && one && outcome.sort.baseline?

          with = [one.estimate, one.low, one.high].map do |value|
            Effect::Hundred.with(pool.measure, value, baseline)
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

      # What is found, in words that say no more than certainty and interval allow (after GRADE guidance
      # 26, Santesso et al., J Clin Epidemiol 2020;119:126; from memory). Direction and size come
      # from the interval and from what is worth having; how surely it is said comes from the
      # certainty.
      module Wording
        # What an interval tells, and its direction.
        DIRECTIONS = { less: :less, slightly_less: :less, alike: :alike, slightly_more: :more, more: :more,
                       unclear: :unclear }.freeze
        LEVELS = { 4 => :high, 3 => :moderate, 2 => :low }.freeze
        private_constant :LEVELS
        class << self
          # found :: as `said` gives it; level :: 1 to 4; name :: of the outcome. Gives a sentence
          # without its full stop.
          def of(found:, level:, name:)
            what = thing(name)
            return Book.t("appraisal.findings.unclear", outcome: what) if level == 1 || found == :unclear

            Book.t("appraisal.findings.#{LEVELS.fetch(level)}.#{found}", outcome: what)
          end

          # What an interval tells, one of DIRECTIONS. estimate, low, high :: on the scale of
          # pooling; worth :: Certainty::Worthwhile, nil where none is known
          def said(estimate, low, high, worth)
            return without_size(low, high) unless worth
            return :alike if low >= worth.low && high <= worth.high && low.negative? && high.positive?
            return :unclear if 0.between?(low, high)

            if high.negative? then estimate < worth.low ? :less : :slightly_less
            else estimate > worth.high ? :more : :slightly_more
            end
          end

          private

          def without_size(low, high)
            return :unclear if 0.between?(low, high)

            high.negative? ? :less : :more
          end

          # [before the verb, the verb, behind it]
          # Small letters within a sentence, but for names in capitals.
          def thing(name) = name.match?(/\A\p{Lu}\p{Ll}/) ? name[0].downcase + name[1..] : name
        end
      end
    end
  end
end
