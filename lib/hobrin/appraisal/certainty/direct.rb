# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # On which side of no effect an interval lies.
      module Direct
        # Anything with low and high, on the scale of pooling. Gives :less, :more or :either.
        def self.way(interval)
          return :less if interval.high.negative?

          interval.low.positive? ? :more : :either
        end
      end
    end
  end
end
