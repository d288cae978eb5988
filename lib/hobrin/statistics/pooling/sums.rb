# frozen_string_literal: true

module Hobrin
  module Statistics
    # The sums that a pooled effect and the restricted likelihood of a variance between studies are
    # made of: of the weights, their squares and cubes, by themselves, times the effects, and times
    # their squares. Effects are told from a middle of their own, so that little is lost in
    # rounding. In one pass over plain numbers, since leaving out each of many studies asks for
    # them very often.
    class Sums
      attr_reader :a1, :a2, :a3, :b1, :b2, :b3, :c1, :c2, :c3

      # effects, variances :: Arrays of Float; tau2 :: Float from 0; but :: place of a study that is
      #   passed over, or nil
      def self.of(effects, variances, tau2, but: nil)
        a1 = a2 = a3 = b1 = b2 = b3 = c1 = c2 = c3 = 0.0
        place = -1
        while (effect = effects[place += 1])
          next if place == but

          a1 += (weight = 1 / (variances[place] + tau2))
          a2 += (square = weight * weight)
          a3 += (cube = square * weight)
          b1 += (weight *= effect)
          b2 += (square *= effect)
          b3 += (cube *= effect)
          c1 += weight * effect
          c2 += square * effect
          c3 += cube * effect
        end
        new(a1, a2, a3, b1, b2, b3, c1, c2, c3)
      end

      def initialize(*nine)
        @a1, @a2, @a3, @b1, @b2, @b3, @c1, @c2, @c3 = nine
      end

      # The same without one study.
      def without(effect, weight)
        own = [1, 2, 3].map { |power| weight**power }
        less = [1, effect, effect**2].flat_map { |times| own.map { |part| part * times } }
        Sums.new(*[a1, a2, a3, b1, b2, b3, c1, c2, c3].zip(less).map { |all, part| all - part })
      end

      def mean = b1 / a1

      # Σ w (y − mean)²
      def q = [c1 - (b1 * b1 / a1), 0.0].max

      # Newton's step towards the τ² where the restricted likelihood is highest; Fisher's, with the
      # expected curvature, where it is not curved as at a summit (Viechtbauer 2005; from memory).
      def step
        apart = about_mean(a2, b2, c2)
        (apart - a1 + (a2 / a1)) / (observed > expected / 10 ? observed : expected)
      end

      # The mean, and the sum of the weights, where τ² is a little more.
      def mean_after(change) = mean - (change * (b2 - (mean * a2)) / a1)
      def weight_after(change) = a1 - (change * a2)

      private

      # How the likelihood is expected to curve, and how it does.
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
