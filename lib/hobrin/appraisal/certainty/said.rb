# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # Numbers as the reasons of proposals name them.
      module Said
        MINUS = "−"
        private_constant :MINUS

        class << self
          # Two places, or so many as show that it is not nothing.
          def number(value)
            places = value.abs >= 100 ? 0 : 2
            text = format("%.#{places}f", value)
            text = format("%.1e", value) if text.match?(/\A-?0\.?0*\z/) && !value.zero?
            text.match?(/\A-0\.?0*\z/) ? text.delete_prefix("-") : text.sub("-", MINUS)
          end

          # An interval in the measure's own way of telling.
          def interval(measure, low, high)
            [low, high].map { |value| number(measure.told(value)) }.join(" to ") + (measure.of_hundred? ? " of 100" : "")
          end

          def p(value) = value < 0.001 ? "below 0.001" : format("%.3f", value)
          def hundredths(share) = "#{(100 * share).round} of 100"
        end
      end
    end
  end
end
