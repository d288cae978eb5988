# frozen_string_literal: true

module Hobrin
  module Statistics
    # Effects of two groups in which events are counted over time. Where a group has no event ½ is
    # added to the events of both, as R's metafor does by default.
    module Rates
      MEASURES = %i[log_rate_ratio rate_difference].freeze

      class << self
        # events, time, comparison_events, comparison_time :: Numerics, events from 0, times above 0
        # measure :: one of MEASURES. Gives a Result; nil where nothing happened in either group
        # and a ratio is asked for.
        def call(events, time, comparison_events, comparison_time, measure)
          return if events.zero? && comparison_events.zero?

          x1, x2 = [events, comparison_events].map do |number|
            number + ([events, comparison_events].min.zero? ? 0.5 : 0.0)
          end
          effect, variance = public_send(measure, x1, time.to_f, x2, comparison_time.to_f)
          Result.new(effect:, variance:)
        end

        def log_rate_ratio(x1, t1, x2, t2) = [Math.log((x1 / t1) / (x2 / t2)), (1 / x1) + (1 / x2)]

        def rate_difference(x1, t1, x2, t2)
          [(x1 / t1) - (x2 / t2), (x1 / (t1**2)) + (x2 / (t2**2))]
        end
      end
    end
  end
end
