# frozen_string_literal: true

module Hobrin
  module Statistics
    # An estimate with the two ends of its interval; an end may be infinite.
    class Interval < Value
      attributes :estimate, :low, :high

      # Whether the interval takes in a value, its ends included.
      def include?(value) = value.between?(low, high)
    end
  end
end
