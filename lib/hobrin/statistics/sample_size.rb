# frozen_string_literal: true

module Hobrin
  module Statistics
    # How many people two groups need, or how small a change so many can show: two proportions,
    # two-sided 5 of 100, power 80 of 100, with the variance pooled under no difference (the
    # textbooks'; from memory).
    module SampleSize
      ALPHA = Distributions::Normal::Z95
      POWER = 0.8416212335729143
      private_constant :ALPHA, :POWER

      class << self
        # one, two :: shares, 0 to 1, that differ. Gives the people of each group, rounded up.
        def each_group(one, two) = exactly(one, two).ceil

        # The smallest fall from a share that so many people in each group show; nil where even to
        # nobody is too small a fall.
        def smallest_fall(share, people)
          return if share <= 0 || exactly(share, 1e-9) > people

          Distributions::Root.between(1e-9, share - 1e-9) { |other| exactly(share, other) - people }.then { |other| share - other }
        end

        # The same for the smallest rise.
        def smallest_rise(share, people) = smallest_fall(1 - share, people)

        private

        def exactly(one, two)
          mean = (one + two) / 2
          under_none = Math.sqrt(2 * mean * (1 - mean))
          each = Math.sqrt((one * (1 - one)) + (two * (1 - two)))
          (((ALPHA * under_none) + (POWER * each)) / (one - two))**2
        end
      end
    end
  end
end
