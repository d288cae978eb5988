# frozen_string_literal: true

module Hobrin
  # The time by which somebody waits for an answer. Loops that can be long ask it on their way; it
  # holds for the thread that set it, and where none is set, asking costs nothing and never ends.
  #
  #   Deadline.within(15, clock) { evaluator.call(tree) } # raises Passed after 15 s
  module Deadline
    # The answer took too long and was stopped where it was.
    class Passed < StandardError; end

    KEY = :hobrin_deadline
    private_constant :KEY

    class << self
      # seconds :: from now; clock :: a Proc that gives seconds, always growing. Gives what the block gives.
      # An earlier deadline around it still holds.
      def within(seconds, clock)
        before = current
        ends = clock.call + seconds
        self.current = [ends, clock] if before.nil? || ends < before.first
        yield
      ensure
        self.current = before
      end

      # Raises Passed when it is over.
      def check
        ends, clock = current
        raise Passed if ends && clock.call > ends
      end

      private

      def current = Thread.current.thread_variable_get(KEY)

      def current=(deadline)
        Thread.current.thread_variable_set(KEY, deadline)
      end
    end
  end
end
