# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # What is possible and yet seldom true of numbers that were typed, in sentences: a slip is likelier.
      # Common practice, no source, for where each begins.
      module Doubts
        # Standard deviations apart.
        FAR = 3.0
        # Of the width of an interval on the log scale, how far its middle may be from the effect.
        UNEVEN = 0.08
        # One deviation so many times the other.
        UNLIKE = 4.0
        private_constant :FAR, :UNEVEN, :UNLIKE

        class << self
          # values :: as Values gives them; ratio :: whether a ready-made effect is one
          def of(values, ratio:)
            case values
            when Hash then [uneven(values, ratio)].compact
            when Array then values.all?(Statistics::Effects::Means::Group) ? of_groups(*values) : []
            else []
            end
          end

          private

          def of_groups(one, two)
            deviations = [one.deviation, two.deviation].minmax
            apart = (one.mean - two.mean).abs / ((one.deviation + two.deviation) / 2)
            [(Book.t("appraisal.doubts.apart", deviations: apart.round(1)) if apart > FAR),
             (Book.t("appraisal.doubts.unlike", times: UNLIKE.to_i) if deviations.last > UNLIKE * deviations.first)].compact
          end

          def uneven(values, ratio)
            value, low, high = values.values_at(:value, :low, :high)
            return unless low

            value, low, high = [value, low, high].map { |number| Math.log(number) } if ratio
            return if ((low + high) / 2 - value).abs <= UNEVEN * (high - low)

            Book.t("appraisal.doubts.#{ratio ? "uneven_log" : "uneven"}")
          end
        end
      end
    end
  end
end
