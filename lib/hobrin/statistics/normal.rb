# frozen_string_literal: true

module Hobrin
  module Statistics
    # The standard normal distribution, as far as the intervals need it.
    module Normal
      # The 97.5 % point, for two-sided 95 % intervals.
      Z95 = 1.959963984540054

      # The chance of a value further from 0, on either side.
      def self.two_sided(value) = Math.erfc(value.abs / Math.sqrt(2))

      # The value below which a share of it lies. share :: above 0, below 1
      def self.quantile(share)
        Root.between(-40.0, 40.0) { |value| (Math.erfc(-value / Math.sqrt(2)) / 2) - share }
      end
    end
  end
end
