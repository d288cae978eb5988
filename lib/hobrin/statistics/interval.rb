# frozen_string_literal: true

module Hobrin
  module Statistics
    # An estimate with the two ends of its interval; an end may be infinite.
    class Interval < Value
      attributes :estimate, :low, :high
    end
  end
end
