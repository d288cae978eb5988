# frozen_string_literal: true

module Hobrin
  module Statistics
    # The sums that a pooled effect and the restricted likelihood of a variance between studies are
    # made of: of the weights, their squares and cubes, by themselves, times the effects, and times
    # their squares. Effects are told from a middle of their own, so that little is lost in
    # rounding. In one pass over plain numbers, since leaving out each of many studies asks for
    # them very often.
    class Sums
      # The few of them that the slope of the likelihood needs, which leave out one study.
      #
      # effects, variances :: Arrays of Float; tau2 :: Float from 0; but :: place of the study that is
      #   passed over
      def self.but(effects, variances, tau2, but)
        a1 = a2 = b1 = b2 = c2 = 0.0
        place = -1
        while (effect = effects[place += 1])
          next if place == but

          a1 += (weight = 1 / (variances[place] + tau2))
          a2 += (square = weight * weight)
          b1 += weight * effect
          b2 += (square *= effect)
          c2 += square * effect
        end
        new(a1, a2, nil, b1, b2, nil, c2, nil)
      end

      # All of them.
      def self.of(effects, variances, tau2)
        a1 = a2 = a3 = b1 = b2 = b3 = c2 = c3 = 0.0
        place = -1
        while (effect = effects[place += 1])
          a1 += (weight = 1 / (variances[place] + tau2))
          a2 += (square = weight * weight)
          a3 += (cube = square * weight)
          b1 += weight * effect
          b2 += (square *= effect)
          b3 += (cube *= effect)
          c2 += square * effect
          c3 += cube * effect
        end
        new(a1, a2, a3, b1, b2, b3, c2, c3)
      end

      attr_reader :a1, :a2, :a3, :b1, :b2, :b3, :c2, :c3

      def initialize(*eight)
        @a1, @a2, @a3, @b1, @b2, @b3, @c2, @c3 = eight
      end

      # The same without one study.
      def without(effect, weight)
        one, two, three = weight, weight**2, weight**3
        Sums.new(a1 - one, a2 - two, a3 - three, b1 - (one * effect), b2 - (two * effect), b3 - (three * effect),
                 c2 - (two * effect * effect), c3 - (three * effect * effect))
      end

      def mean = b1 / a1

      # By how much the likelihood would rise with τ² (Viechtbauer 2005; from memory).
      def slope = about_mean(a2, b2, c2) - a1 + (a2 / a1)

      # How it curves; as is expected, where it is not curved as at a summit.
      def curvature
        found = observed
        found > expected / 10 ? found : expected
      end

      # Newton's step towards the τ² where it is highest, or Fisher's.
      def step = slope / curvature

      # The mean, and the sum of the weights, where τ² is a little more.
      def mean_after(change) = mean - (change * (b2 - (mean * a2)) / a1)
      def weight_after(change) = a1 - (change * a2)

      private

      def expected = a2 - (2 * a3 / a1) + ((a2 / a1)**2)

      def observed
        aside = b2 - (mean * a2)
        (2 * (about_mean(a3, b3, c3) - (aside * aside / a1))) - expected
      end

      # The sum of squares about the mean from sums about the middle.
      def about_mean(a, b, c) = c - (2 * mean * b) + (mean * mean * a)
    end
  end
end
