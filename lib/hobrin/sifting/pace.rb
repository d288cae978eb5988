# frozen_string_literal: true

module Hobrin
  module Sifting
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
