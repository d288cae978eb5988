# frozen_string_literal: true

module Hobrin
  module Statistics
    # Effects of two groups counted by an outcome that happens or does not, as they are pooled.
    # Where a cell is empty ½ is added to each cell of that study, but for the risk difference, as
    # R's metafor does by default.
    module TwoGroups
      MEASURES = %i[log_risk_ratio log_odds_ratio risk_difference peto_log_odds_ratio].freeze

      class << self
        # table :: TwoByTwo; measure :: one of MEASURES. Gives a Result; nil where a study with no
        # outcome, or with nothing else, tells nothing.
        def call(table, measure) = of(table.cells, measure)

        # cells :: with and without the outcome, first in the group with the intervention; Numerics
        #   from 0, of a shared comparison group also parts of people
        def of(cells, measure)
          return if tells_nothing?(cells, measure)

          effect, variance = public_send(measure, *corrected(cells, measure))
          Result.new(effect:, variance:, counts: cells) if variance.positive?
        end

        # (a/n1) / (c/n2) on the log scale (Katz 1978).
        def log_risk_ratio(a, b, c, d)
          [Math.log(a / (a + b)) - Math.log(c / (c + d)), (1 / a) - (1 / (a + b)) + (1 / c) - (1 / (c + d))]
        end

        # Woolf 1955.
        def log_odds_ratio(a, b, c, d)
          [Math.log(a * d / (b * c)), (1 / a) + (1 / b) + (1 / c) + (1 / d)]
        end

        def risk_difference(a, b, c, d)
          n1, n2 = a + b, c + d
          [(a / n1) - (c / n2), (a * b / (n1**3)) + (c * d / (n2**3))]
        end

        # Observed less expected over the variance of a hypergeometric (Yusuf et al. 1985).
        def peto_log_odds_ratio(a, b, c, d)
          n1, n2, total = a + b, c + d, a + b + c + d
          variance = n1 * n2 * (a + c) * (b + d) / ((total**2) * (total - 1))
          [(a - (n1 * (a + c) / total)) / variance, 1 / variance]
        end

        private

        def tells_nothing?(cells, measure)
          a, b, c, d = cells
          measure != :risk_difference && ((a + c).zero? || (b + d).zero?)
        end

        def corrected(cells, measure)
          cells = cells.map(&:to_f)
          return cells if cells.none?(&:zero?) || measure == :peto_log_odds_ratio

          cells.map { |cell| cell + 0.5 }
        end
      end
    end
  end
end
