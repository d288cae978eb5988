# frozen_string_literal: true

module Hobrin
  class Brief
    # Where values of the scale of pooling stand in a picture, 0 to WIDTH.
    class Scale
      WIDTH = 200
      # A picture of ratios reaches no further than this on either side of 1.
      FURTHEST = 20.0
      RATIOS = [0.05, 0.1, 0.25, 0.5, 1, 2, 4, 10, 20].freeze
      private_constant :FURTHEST, :RATIOS

      # Where a line is drawn: size :: half the side of its square
      class Mark < Value
        attributes :low, :middle, :high, :size
      end

      # measure :: Appraisal::Outcome::Measure; intervals :: Array of [low, high]
      def initialize(measure, intervals)
        @measure = measure
        @low, @high = ends(intervals.flatten)
      end

      def place(value) = (WIDTH * ((value - @low) / (@high - @low)).clamp(0.0, 1.0)).round(1)

      def mark(low, middle, high, size = 4.0)
        Mark.new(low: place(low), middle: place(middle), high: place(high), size: size.round(1))
      end

      # Where there is no effect; nil for shares.
      def nothing = @measure.nothing && place(@measure.nothing)

      # [place, in words] of the axis.
      def ticks
        case @measure.scale
        when :log then RATIOS.map { |ratio| [Math.log(ratio), ratio.to_s] }
        when :logit then [5, 10, 25, 50, 75, 90, 95].map do |share|
          [Math.log(share / (100.0 - share)), share.to_s]
        end
        else plain
        end.select do |value, _|
          value.between?(@low,
                         @high)
        end.map { |value, words| [place(value), words] }
      end

      private

      # Even about no effect, as far as the widest interval.
      def ends(values)
        return [values.min - 0.2, values.max + 0.2] unless @measure.nothing

        most = values.map(&:abs).max || 1.0
        most = most.clamp(Math.log(2), Math.log(FURTHEST)) if @measure.ratio?
        most = 1.0 unless most.positive?
        [-most * 1.02, most * 1.02]
      end

      # Round steps, three to seven of them.
      def plain
        step = 10.0**Math.log10(@high / 2).floor
        step = [step, step * 2, step * 5].find { |candidate| @high / candidate <= 3.5 } || step
        (-3..3).map do |times|
          value = times * step
          told = @measure.told(value)
          [value, format("%g", told.round(6)).sub("-", "−")]
        end
      end
    end
  end
end
