# frozen_string_literal: true

module Hobrin
  module Statistics
    # Shares of one group: their intervals, how they are pooled, and how often chance makes them.
    module Proportions
      # The Wilson score interval of a proportion, without continuity correction.
      # Source: Wilson, J Am Stat Assoc 1927;22:209, as method 3 of Newcombe, Stat Med 1998;17:857.
      #
      #   (2np + z² ± z √(z² + 4npq)) / (2(n + z²)),  p = events / n, q = 1 − p
      module Wilson
        # events, n :: Integers, 0 <= events <= n, n > 0. Gives an Interval of proportions, 0..1.
        def self.call(events, n, z: Distributions::Normal::Z95)
          raise ArgumentError, "needs 0 <= events <= n and n > 0" unless n.positive? && events.between?(0, n)

          p = events.fdiv(n)
          middle = 2 * events + z**2
          reach = z * Math.sqrt(z**2 + 4 * events * (1 - p))
          whole = 2 * (n + z**2)
          Interval.new(estimate: p, low: [(middle - reach) / whole, 0.0].max,
                       high: [(middle + reach) / whole, 1.0].min)
        end
      end

      # The share of one group, as it is pooled: on the scale of the logarithm of its odds, which
      # keeps it between nobody and everybody. Where nobody or everybody has it ½ is added to both
      # counts, as R's metafor does by default.
      module Shares
        class << self
          # events, total :: Integers, 0 <= events <= total, total > 0. Gives a Result.
          def call(events, total)
            with, without = [events, total - events].map(&:to_f)
            with, without = [with, without].map { |count| count + 0.5 } if with.zero? || without.zero?
            Pooling::Result.new(effect: Math.log(with / without), variance: (1 / with) + (1 / without))
          end

          # The share whose odds have a logarithm. Gives 0 to 1.
          def share(log_odds) = 1 / (1 + Math.exp(-log_odds))
        end
      end

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
            count >= people ? 1.0 : Distributions::Special.beta_below(people - count, count + 1, 1 - chance)
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
end
