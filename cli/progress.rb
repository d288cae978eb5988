# frozen_string_literal: true

require "ruby-progressbar"

module Hobrin
  module Cli
    # A bar for long work, on standard error and only where a person can see it.
    class Progress
      # title :: what is going on; total :: Integer or nil when it is not known; err :: where it is
      #   drawn
      def initialize(title, total:, err:)
        return unless err.respond_to?(:tty?) && err.tty?

        format = total ? "%t |%B| %p%% %e" : "%t %c"
        @bar = ProgressBar.create(title:, total:, output: err, format:, throttle_rate: 0.1)
      end

      def at(count)
        @bar&.progress = @bar.total ? [count, @bar.total].min : count
      end

      def finish = @bar&.finish
    end
  end
end
