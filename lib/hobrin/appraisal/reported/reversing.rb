# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
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

          # result :: Statistics::Result of a risk ratio; risk :: of 100 in the comparison group, of
          # what was printed. Gives the Result of the opposite; nil where there are no such risks.
          # The error is that of two groups as large as the printed error says, of one size: of
          # ln RR, q1/(n p1) + q2/(n p2), of its opposite, p1/(n q1) + p2/(n q2).
          def of_risks(result, risk)
            two = risk / 100.0
            one = two * Math.exp(result.effect)
            return unless [one, two].all? { |share| share.positive? && share < 1 }

            odds = [one, two].map { |share| share / (1 - share) }
            variance = result.variance * odds.sum / odds.sum { |number| 1 / number }
            Statistics::Result.new(effect: Math.log((1 - one) / (1 - two)), variance:)
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

        RATES = "A rate has no opposite: enter how many people had it."
        NONE = "A hazard or rate ratio has no opposite: enter the counts of the outcome itself."
        ASK = "A printed risk ratio cannot be reversed by itself: enter the risk without it, of 100."
        TOO_MANY = "With this ratio the risk with it would not lie between 0 and 100."
        private_constant :RATES, :NONE, :ASK, :TOO_MANY
      end
    end
  end
end
