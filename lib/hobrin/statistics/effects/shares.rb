# frozen_string_literal: true

module Hobrin
  module Statistics
    # The share of one group, as it is pooled: on the scale of the logarithm of its odds, which
    # keeps it between nobody and everybody. Where nobody or everybody has it ½ is added to both
    # counts, as R's metafor does by default.
    module Shares
      class << self
        # events, total :: Integers, 0 <= events <= total, total > 0. Gives a Result.
        def call(events, total)
          with, without = [events, total - events].map(&:to_f)
          with, without = [with, without].map { |count| count + 0.5 } if with.zero? || without.zero?
          Result.new(effect: Math.log(with / without), variance: (1 / with) + (1 / without))
        end

        # The share whose odds have a logarithm. Gives 0 to 1.
        def share(log_odds) = 1 / (1 + Math.exp(-log_odds))
      end
    end
  end
end
