# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What a comparison says, by its interval and never by its estimate alone: fewer or less, more,
    # about alike, or that it cannot tell.
    #
    # For a ratio, "about alike" is an interval wholly between 4/5 and 5/4 (common practice, no source,
    # after the thresholds that guidance on certainty gives from memory); for a difference of means it
    # is one within a fifth of a standard deviation on either side (Cohen's small effect).
    module Direction
      ALL = %i[less more alike uncertain].freeze
      RATIO = (0.8..1.25)
      SMALL = 0.2
      private_constant :RATIO, :SMALL

      class << self
        # interval :: Statistics::Interval of a ratio. Gives one of ALL.
        def of_ratio(interval) = of(interval, 1.0, RATIO)

        # interval :: Statistics::Interval of a difference of means; sd :: the standard deviation of
        #   the scale. Gives one of ALL.
        def of_difference(interval, sd:) = of(interval, 0.0, (-SMALL * sd)..(SMALL * sd))

        private

        def of(interval, nothing, alike)
          return :less if interval.high < nothing
          return :more if interval.low > nothing

          alike.cover?(interval.low..interval.high) ? :alike : :uncertain
        end
      end
    end
  end
end
