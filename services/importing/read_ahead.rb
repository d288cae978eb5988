# frozen_string_literal: true

module Hobrin
  module Services
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
    end
  end
end
