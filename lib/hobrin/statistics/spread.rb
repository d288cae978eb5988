# frozen_string_literal: true

module Hobrin
  module Statistics
    # Mean and standard deviation of a group from what a paper gives in their place.
    #
    # From medians: standard deviations by Wan et al., BMC Med Res Methodol 2014;14:135, means by
    # Luo et al., Stat Methods Med Res 2018;27:1785 (both from memory). They hold where the values
    # lie evenly about their middle.
    module Spread
      class << self
        def from_error(size, mean, error) = group(size, mean, error * Math.sqrt(size))

        # low, high :: of the interval of the mean, by Student's t
        def from_interval(size, mean, low, high, level: 0.95)
          from_error(size, mean, (high - low) / (2 * Distributions::Student.quantile((1 + level) / 2, size - 1)))
        end

        def from_quartiles(size, lower, median, upper)
          weight = 0.7 + (0.39 / size)
          group(size, (weight * (lower + upper) / 2) + ((1 - weight) * median),
                (upper - lower) / (2 * quartile(size)))
        end

        def from_range(size, least, median, most)
          weight = 4 / (4 + (size**0.75))
          group(size, (weight * (least + most) / 2) + ((1 - weight) * median),
                (most - least) / (2 * extreme(size)))
        end

        def from_both(size, least, lower, median, upper, most)
          ends, middle = [2.2 / (2.2 + (size**0.75)), 0.7 - (0.72 / (size**0.55))]
          mean = (ends * (least + most) / 2) + (middle * (lower + upper) / 2) + ((1 - ends - middle) * median)
          group(size, mean,
                ((most - least) / (4 * extreme(size))) + ((upper - lower) / (4 * quartile(size))))
        end

        # Several groups as if they had been one (the formula of the textbooks; from memory).
        # groups :: Array of Means::Group. Gives one.
        def together(groups)
          size = groups.sum(&:size)
          mean = groups.sum { |group| group.size * group.mean } / size.to_f
          squares = groups.sum do |group|
            ((group.size - 1) * (group.deviation**2)) + (group.size * ((group.mean - mean)**2))
          end
          group(size, mean, Math.sqrt(squares / (size - 1.0)))
        end

        private

        def group(size, mean, deviation)
          Effects::Means::Group.new(size:, mean: mean.to_f, deviation: deviation.to_f)
        end

        # How many standard deviations the quartiles, and the ends, of so many values lie apart by
        # half.
        def quartile(size) = Distributions::Normal.quantile(((0.75 * size) - 0.125) / (size + 0.25))
        def extreme(size) = Distributions::Normal.quantile((size - 0.375) / (size + 0.25))
      end
    end
  end
end
