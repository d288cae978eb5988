# frozen_string_literal: true

module Hobrin
  module Cli
    module Benchmarks
      # How long work takes.
      module Timing
        REPEATS = 7
        private_constant :REPEATS

        class << self
          # Milliseconds of one run of the block.
          def once
            from = Process.clock_gettime(Process::CLOCK_MONOTONIC)
            yield
            (Process.clock_gettime(Process::CLOCK_MONOTONIC) - from) * 1000
          end

          # The median of several runs, in milliseconds.
          def median(&) = Statistics.median(Array.new(REPEATS) { once(&) })
        end
      end
    end
  end
end
