# frozen_string_literal: true

module Hobrin
  module Store
    # Answers that were worked out once and are kept. Safe to share between threads; two of them may
    # both work one out, and the first one that is done is kept.
    class Kept
      # most :: past this many, all are let go; nil for no bound
      def initialize(most: nil)
        @most = most
        @answers = {}
        @lock = Mutex.new
      end

      # What is kept under a key, or else what the block gives.
      def fetch(key)
        @lock.synchronize { return @answers[key] if @answers.key?(key) }
        answer = yield
        @lock.synchronize do
          @answers.clear if @most && @answers.size >= @most
          @answers[key] ||= answer
        end
      end

      # What is kept under a key, nil when nothing is.
      def [](key) = @lock.synchronize { @answers[key] }
    end
  end
end
