# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # The effect of one result by a measure, as it is pooled.
      class Effects
        TWO_GROUPS = { risk_ratio: :log_risk_ratio, odds_ratio: :log_odds_ratio, risk_difference: :risk_difference,
                       peto_odds_ratio: :peto_log_odds_ratio }.freeze
        RATES = { rate_ratio: :log_rate_ratio, rate_difference: :rate_difference }.freeze
        private_constant :TWO_GROUPS, :RATES

        # Those who did not have it in place of those who did.
        def self.opposite(table)
          table.with(events: table.total - table.events,
                     comparison_events: table.comparison_total - table.comparison_events)
        end

        # values :: as Values gives them; turned :: whether the scale runs the other way than the
        # outcome's; allocation :: Allocation
        def initialize(values, turned: false, allocation: Allocation.new)
          @values = values
          @turned = turned
          @allocation = allocation
        end

        # measure :: Outcome::Measure. Gives a Statistics::Pooling::Result; nil where the numbers tell nothing
        # by that measure, are an effect by another one, or cannot be reversed.
        def by(measure)
          result = case @values
                   when Statistics::TwoByTwo then of_counts(measure)
                   when Hash then ready(measure)
                   when Array then turn(of_array(measure))
                   end
          larger(result)
        rescue ArgumentError
          nil
        end

        private

        # The variance of a cluster-randomised trial, by its design effect: the same as counting
        # so many fewer people.
        def larger(result)
          return if result.nil?

          Statistics::Pooling::Result.new(effect: result.effect, variance: result.variance * @allocation.design_effect,
                                          counts: result.counts)
        end

        def of_counts(measure)
          table = @turned ? Effects.opposite(@values) : @values
          key = TWO_GROUPS.fetch(measure.key)
          return Statistics::Effects::Paired.counts(table, key, correlation) if correlation

          Statistics::Effects::TwoGroups.of([*table.cells.first(2), *table.cells.last(2).map { |cell| part(cell) }], key)
        end

        def of_array(measure)
          case measure.key
          when :mean_difference then of_means(:difference)
          when :standardized then of_means(:standardized)
          when :rate_ratio, :rate_difference
            return if @turned

            events, time, *others = @values
            Statistics::Effects::Rates.call(events, time, *others.map { |number| part(number) }, RATES.fetch(measure.key))
          when :share then Statistics::Proportions::Shares.call(*@values)
          end
        end

        def of_means(name)
          one, two = @values
          return Statistics::Effects::Paired.public_send(name, one, two, correlation) if correlation

          Statistics::Effects::Means.public_send(name, one, two.with(size: part(two.size)))
        end

        def correlation = @allocation.kind == :crossover && !@allocation.adjusted ? @allocation.correlation : nil

        # A number of a comparison group that several arms share.
        def part(number) = @allocation.shared == 1 ? number : number.fdiv(@allocation.shared)

        # A ready-made effect is in the measure that the outcome has first; it cannot become
        # another.
        def ready(measure)
          return unless @values[:measure].nil? || @values[:measure] == measure.key

          printed = printed(measure.ratio?)
          return printed unless @turned
          return turn(printed) if Reversing.by_sign?(measure.key)

          Reversing.of_risks(printed, @values[:risk]) if Reversing.by_risks?(measure.key) && @values[:risk]
        end

        def printed(ratio)
          value, low, high, p = @values.values_at(:value, :low, :high, :p)
          return Statistics::Effects::ReadyMade.from_p(value, p, ratio:) unless low

          Statistics::Effects::ReadyMade.from_interval(value, low, high, ratio:, level: (@values[:level] || 95) / 100.0)
        end

        def turn(result)
          return result unless result && @turned

          Statistics::Pooling::Result.new(effect: -result.effect, variance: result.variance)
        end

        # Which printed effects can be told of the opposite of an outcome: dying in place of staying
        # alive. An odds ratio turns over and a difference changes its sign. A risk ratio does not: 72
        # of 100 alive beside 80 is a ratio of 0.90, and 28 dead beside 20 is 1.40. It needs the risk
        # in the comparison group. Of hazards and rates there is no opposite.
        module Reversing
          BY_SIGN = %i[odds_ratio peto_odds_ratio mean_difference standardized risk_difference rate_difference
                       difference].freeze
          BY_RISKS = %i[risk_ratio].freeze
          private_constant :BY_SIGN, :BY_RISKS

          class << self
            # measure :: key of an Outcome::Measure
            def by_sign?(measure) = BY_SIGN.include?(measure)
            def by_risks?(measure) = BY_RISKS.include?(measure)

            # result :: Statistics::Pooling::Result of a risk ratio; risk :: of 100 in the comparison group, of
            # what was printed. Gives the Result of the opposite; nil where there are no such risks.
            # The error is that of two groups as large as the printed error says, of one size: of
            # ln RR, q1/(n p1) + q2/(n p2), of its opposite, p1/(n q1) + p2/(n q2).
            def of_risks(result, risk)
              two = risk / 100.0
              one = two * Math.exp(result.effect)
              return unless [one, two].all? { |share| share.positive? && share < 1 }

              odds = [one, two].map { |share| share / (1 - share) }
              variance = result.variance * odds.sum / odds.sum { |number| 1 / number }
              Statistics::Pooling::Result.new(effect: Math.log((1 - one) / (1 - two)), variance:)
            end

            # Why a reversed scale does not do for a form of numbers, in a sentence; nil where it does.
            # form :: key of a Form; measure :: of a printed effect, or nil; read :: the numbers
            def refusal(form, measure, read)
              return RATES if form == "events_over_time"
              return unless form == "estimate" && !by_sign?(measure)
              return NONE unless by_risks?(measure)
              return ASK unless read[:risk]

              TOO_MANY unless possible?(read)
            end

            private

            def possible?(read)
              risk = read[:risk] / 100.0
              read[:value].nil? || (risk.positive? && risk < 1 && risk * read[:value] < 1)
            end
          end

          RATES = Book.t("appraisal.reversed.rates")
          NONE = Book.t("appraisal.reversed.hazards")
          ASK = Book.t("appraisal.reversed.ask")
          TOO_MANY = Book.t("appraisal.reversed.impossible")
          private_constant :RATES, :NONE, :ASK, :TOO_MANY
        end
      end
    end
  end
end
