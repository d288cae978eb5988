# frozen_string_literal: true

module Hobrin
  module Services
    # Lets a few do something dear at once; some more wait, and others are asked to come back. What is
    # done in turn holds other requests up little: its thread steps back for theirs.
    class Turns
      STEPS_BACK = -3
      private_constant :STEPS_BACK

      # at_once :: how many; waiting :: how many may wait; busy :: what the others are told
      def initialize(at_once:, waiting:, busy:)
        @places = SizedQueue.new(at_once)
        @most = at_once + waiting
        @busy = busy
        @here = 0
        @lock = Mutex.new
      end

      # Gives what the block gives. Raises UnavailableError where too many wait.
      def take(&)
        come
        begin
          @places << true
          begin
            stepping_back(&)
          ensure
            @places.pop
          end
        ensure
          @lock.synchronize { @here -= 1 }
        end
      end

      private

      def stepping_back
        before = Thread.current.priority
        Thread.current.priority = STEPS_BACK
        yield
      ensure
        Thread.current.priority = before
      end

      def come
        @lock.synchronize do
          raise UnavailableError, @busy if @here >= @most

          @here += 1
        end
      end
    end
  end
end
