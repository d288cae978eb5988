# frozen_string_literal: true

module Hobrin
  module Services
    # A process that works things out for the one that started it, and gives them over as they are
    # ready, a few ahead.
    class ForkedReader
      LENGTH = "N"
      # What waits to be taken.
      AHEAD = 2
      # What is given over last: a process that was killed gives no such thing.
      ENDED = :ended
      CUT_OFF = "The process that read the file ended before its time. What it had read is in the library; go on " \
                "with the rest."
      private_constant :LENGTH, :AHEAD, :ENDED, :CUT_OFF

      # The block runs in the new process. It is given a Proc that gives a value over: one of plain
      # Structs, texts and numbers. What goes wrong there goes the same way.
      def initialize(&work)
        @from, to = IO.pipe(binmode: true)
        @pid = start(to, work)
        to.close
        @waiting = SizedQueue.new(AHEAD)
        @listening = Thread.new { listen }
      end

      # Yields the next value, when it is there. Gives true; false when there are no more. Raises
      # the error that ended it, or UnavailableError where it was killed.
      def take
        text = @waiting.pop or raise UnavailableError, CUT_OFF
        # It comes from a process of our own.
        value = Marshal.load(text) # rubocop:disable Security/MarshalLoad
        raise value if value.is_a?(Exception)
        return false if value == ENDED

        yield value
        true
      end

      # One that was not heard to its end finds its pipe shut. at_once :: whether it is ended in the midst
      #   of what it works out
      def stop(at_once: false)
        @listening.kill.join
        @from.close
        Process.kill(:KILL, @pid) if at_once
        Process.wait(@pid)
      rescue Errno::ESRCH, Errno::ECHILD
        nil
      end

      private

      def start(to, work)
        Process.fork do
          @from.close
          run(to, work)
        rescue Errno::EPIPE
          nil
        ensure
          # Nothing that belongs to the process before, such as its databases, is touched at the
          # end.
          Process.exit!(true)
        end
      end

      def run(to, work)
        work.call(->(value) { give(to, value) })
        give(to, ENDED)
      rescue Hobrin::Error => e
        give(to, e)
      rescue Errno::EPIPE
        raise
      rescue StandardError => e
        give(to, RuntimeError.new(e.full_message(highlight: false)))
      end

      def give(to, value)
        text = Marshal.dump(value)
        to.write([text.bytesize].pack(LENGTH), text)
      end

      # Takes in what is given over while this process does something else.
      def listen
        while (text = whole)
          @waiting << text
        end
      ensure
        @waiting.close
      end

      # The next that was given over; nil where there is no more, or no more than a part of it.
      def whole
        length = @from.read(4)&.unpack1(LENGTH) or return
        text = @from.read(length)
        text if text&.bytesize == length
      end
    end
  end
end
