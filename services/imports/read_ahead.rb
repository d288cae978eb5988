# frozen_string_literal: true

module Hobrin
  module Services
    module Imports
      # Reads a file and lays its entries out in processes of their own, while this one writes. Each
      # of them goes through the whole file, which is quick, and takes every other piece apart, which
      # is not. A small file is read here.
      class ReadAhead
        SMALLEST = 2_000_000
        # As many as keep two cores busy together with the one that writes.
        READERS = 2
        # Entries of a piece. Larger ones are written a little faster, and take more memory in each
        # process.
        TOGETHER = 1_000
        private_constant :SMALLEST, :READERS, :TOGETHER

        # io :: an IO at its beginning, read as bytes; gathering :: Gathering
        # format, skip :: as Exchange.each takes them. Yields each Piece. Raises what Exchange.each
        #   raises.
        def self.each(io, gathering, format:, skip: 0, &taken)
          reading = new(io, gathering, format, skip)
          io.is_a?(File) && io.size >= SMALLEST ? reading.ahead(&taken) : reading.here(&taken)
        end

        def initialize(io, gathering, format, skip)
          @io = io
          @gathering = gathering
          @format = format
          @skip = skip
        end

        def here(&) = pieces(@io, ->(_turn) { true }, &)

        # One that is at its end has no more pieces, though the others may have.
        def ahead(&taken)
          going = all = Array.new(READERS) { |own| ForkedReader.new { |give| apart(own, give) } }
          going = going.select { |reader| reader.take(&taken) } until going.empty?
        ensure
          all&.each(&:stop)
        end

        private

        # Two processes must not share how far a file was read.
        def apart(own, give)
          File.open(@io.path, "rb") { |io| pieces(io, ->(turn) { turn % READERS == own }, &give) }
        end

        # Yields the pieces whose turn it is.
        def pieces(io, own)
          now = turn(@skip + 1)
          only = ->(place) { own[turn(place)] }
          Exchange.each(io, format: @format, skip: @skip, only:) do |place, result|
            (now...turn(place)).each { |past| yield @gathering.piece(io.pos) if own[past] }
            now = turn(place)
            @gathering.take(place, result)
          end
          yield @gathering.piece(io.pos) unless @gathering.empty?
        end

        def turn(place) = (place - 1) / TOGETHER

        # A process that works things out for the one that started it, and gives them over as they are
        # ready, a few ahead.
        class ForkedReader
          LENGTH = "N"
          # What waits to be taken.
          AHEAD = 2
          # What is given over last: a process that was killed gives no such thing.
          ENDED = :ended
          CUT_OFF = Book.t("errors.imports.ended_early")
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
  end
end
