# frozen_string_literal: true

module Hobrin
  module Statistics
    # The standard normal distribution, as far as the intervals need it.
    module Normal
      # The 97.5 % point, for two-sided 95 % intervals.
      Z95 = 1.959963984540054
    end
  end
end
