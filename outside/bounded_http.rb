# frozen_string_literal: true

require "delegate"
require "net/http"

module Hobrin
  module Outside
    # A connection that reads so many bytes and no more, its head included: Ruby's own reads a head
    # without end for as long as it comes.
    class BoundedHttp < Net::HTTP
      # More came than may.
      class TooMuch < IOError; end

      # A socket that counts what it reads.
      class Counted < SimpleDelegator
        # most :: bytes
        def initialize(socket, most)
          super(socket)
          @left = most
        end

        def read_nonblock(*given, **more)
          super.tap do |read|
            @left -= read.bytesize if read.is_a?(String)
            raise TooMuch if @left.negative?
          end
        end
      end
      private_constant :Counted

      # Bytes that one answer may have.
      attr_writer :largest

      private

      def connect
        super
        @socket = Net::BufferedIO.new(Counted.new(@socket.io, @largest), read_timeout: @read_timeout,
                                                                         write_timeout: @write_timeout,
                                                                         continue_timeout: @continue_timeout)
      end
    end
  end
end
