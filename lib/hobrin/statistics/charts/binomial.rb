# frozen_string_literal: true

module Hobrin
  module Statistics
    # How often a fair coin, thrown so many times, falls on one side.
    module Binomial
      class << self
        # The smallest count at which the chance of that or fewer is at least a share. share :: 0 to 1;
        # throws :: Integer from 0
        def quantile(share, throws)
          whole = 2**throws
          ways = sum = 1
          count = 0
          while sum.fdiv(whole) < share
            count += 1
            ways = ways * (throws - count + 1) / count
            sum += ways
          end
          count
        end
      end
    end
  end
end
