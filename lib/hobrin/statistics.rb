# frozen_string_literal: true

module Hobrin
  # What the computations of the job need: distributions, effects, pooling, charts.
  module Statistics
    # values :: Array of Numeric. Gives the middle one, or halfway between the middle two; nil for
    # none.
    def self.median(values)
      return if values.empty?

      sorted = values.sort
      half = sorted.size / 2
      sorted.size.odd? ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2.0
    end

    # An estimate with the two ends of its interval; an end may be infinite.
    class Interval < Value
      attributes :estimate, :low, :high
    end
  end
end
