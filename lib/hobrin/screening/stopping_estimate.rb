# frozen_string_literal: true

module Hobrin
  module Screening
    # How many papers that would be kept are still expected among those that are unread, from how
    # likely each is: the number has a Poisson binomial distribution, worked out in full up to MOST.
    class StoppingEstimate
      MOST = 60
      # The share of the distribution that the interval holds.
      LEVEL = 0.9
      # Below so many papers all are read: nothing is gained by stopping (common practice, no
      # source).
      FEW = 50
      # How many of so many papers are to be decided before anything can be told: before that the
      # estimate is far too high (docs/sifting.md).
      def self.enough(papers) = [FEW, (papers / 3.0).ceil].max

      # likelihoods :: Array of 0 to 1, one for each unread paper
      def initialize(likelihoods)
        @likelihoods = likelihoods
      end

      # Floats and Integers; `high` is MOST when it may be more.
      def expected = @likelihoods.sum
      def low = quantile((1 - LEVEL) / 2)
      def high = quantile(1 - ((1 - LEVEL) / 2))

      # The chance that none is left.
      def none = distribution.first

      private

      def quantile(share)
        sum = 0.0
        distribution.index { |chance| (sum += chance) >= share } || MOST
      end

      # Chance of 0, 1, … MOST of them.
      def distribution
        @distribution ||= @likelihoods.each_with_object([1.0,
                                                         *Array.new(MOST, 0.0)]) do |chance, found|
          MOST.downto(1) do |count|
            found[count] = (found[count] * (1 - chance)) + (found[count - 1] * chance)
          end
          found[0] *= 1 - chance
        end
      end

      # How long a person takes for one paper: the middle of the times between decisions. A pause is
      # no reading.
      module Pace
        # How many decisions are looked at, and how few tell nothing.
        LAST = 20
        ENOUGH = 5
        # Longer than this is a pause, in seconds (common practice, no source).
        PAUSE = 600
        private_constant :ENOUGH, :PAUSE

        # times :: Array of Time, in order. Gives minutes as a Float, or nil.
        def self.call(times)
          gaps = times.each_cons(2).map { |one, two| two - one }.select { |gap| gap.positive? && gap <= PAUSE }
          gaps.size < ENOUGH ? nil : Statistics.median(gaps) / 60.0
        end
      end
    end
  end
end
