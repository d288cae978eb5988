# frozen_string_literal: true

module Hobrin
  module Statistics
    # How often something happens among so many, by chance alone.
    module Binomial
      class << self
        # The smallest count at which the chance of that or fewer is at least a share. share :: 0 to 1;
        # people :: Integer from 1; chance :: of each of them, above 0, below 1
        def count(share, people, chance)
          (0..people).bsearch { |count| below(count, people, chance) >= share }
        end

        # The chance of so many or fewer.
        def below(count, people, chance)
          count >= people ? 1.0 : Special.beta_below(people - count, count + 1, 1 - chance)
        end

        # As `count`, for a fair coin, in whole numbers. throws :: Integer from 0
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
