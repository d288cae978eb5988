# frozen_string_literal: true

module Hobrin
  module Services
    # Does a few slow things at once, in threads of their own, and the rest one after the other. Who
    # asks for something that can begin at once waits for it a moment; others are told that it comes
    # later.
    class ReadLater
      # A thing to be done: done :: Queue that gets true or the error it ended with
      Job = Struct.new(:work, :done)
      private_constant :Job

      # at_once :: how many; patience :: seconds that somebody waits
      def initialize(at_once:, patience:)
        @jobs = Queue.new
        @at_once = at_once
        @patience = patience
        @going = 0
        @lock = Mutex.new
      end

      # The block does it. Gives whether it is done. Raises what the block raised meanwhile.
      def call(&work)
        job = Job.new(work, Queue.new)
        free = @lock.synchronize { (@going += 1) <= @at_once }
        @jobs << job
        start
        free && waited(job)
      end

      private

      def waited(job)
        outcome = popped(job.done)
        raise outcome if outcome.is_a?(Exception)

        outcome == true
      end

      # What a queue gets in time, or nil: queues of Ruby 3.1 wait for ever.
      def popped(queue)
        ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + @patience
        sleep 0.02 while queue.empty? && Process.clock_gettime(Process::CLOCK_MONOTONIC) < ends
        queue.empty? ? nil : queue.pop
      end

      def start
        @lock.synchronize do
          @threads = Array(@threads).select(&:alive?)
          @threads << Thread.new { work } while @threads.size < @at_once
        end
      end

      def work
        loop do
          job = @jobs.pop
          outcome = begin
            job.work.call
            true
          rescue StandardError => e
            e
          end
          @lock.synchronize { @going -= 1 }
          job.done << outcome
        end
      end
    end
  end
end
