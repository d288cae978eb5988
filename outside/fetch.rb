# frozen_string_literal: true

require "delegate"
require "net/http"
require "timeout"
require "uri"

module Hobrin
  module Outside
    # Asks a catalogue over HTTP, politely and within bounds: one request at a time, a pause between
    # two, an end to the time and the size of an answer, another try after a while where it had no
    # time. It goes where Allowed says, and nowhere else.
    class Fetch
      SECONDS = 12
      LARGEST_BYTES = 20 * 1024 * 1024
      HEAD_BYTES = 65_536
      PAUSE = 0.05
      # Seconds after which it is tried again.
      BACK_OFF = [0.5, 2].freeze
      AGENT = "Hobrin (literature search; asks one request at a time)"
      # Answers that say: later.
      BUSY = %w[429 502 503 504].freeze
      TROUBLES = [SystemCallError, SocketError, IOError, OpenSSL::SSL::SSLError,
                  Net::ProtocolError,
                  Net::HTTPBadResponse, Net::HTTPHeaderSyntaxError, Zlib::Error].freeze
      private_constant :SECONDS, :LARGEST_BYTES, :HEAD_BYTES, :PAUSE, :BACK_OFF, :AGENT, :BUSY, :TROUBLES

      # Less patience, while a person waits for the page: two tries of three seconds each.
      def self.for_page(allowed) = new(allowed, seconds: 3, back_off: [0.5])

      # An answer that another try may better.
      class Later < StandardError; end
      private_constant :Later

      # allowed :: Allowed; seconds :: for one answer; wait :: waits so many seconds
      def initialize(allowed, seconds: SECONDS, largest: LARGEST_BYTES, back_off: BACK_OFF,
                     wait: lambda { |seconds|
                       sleep(seconds)
                     })
        @allowed = allowed
        @seconds = seconds
        @largest = largest
        @back_off = back_off
        @wait = wait
        @asked = 0
      end

      # address :: of the catalogue; params :: Hash of what it is asked. Gives the text of the answer
      #   as bytes. Raises InputError (:address) for one that may not be asked, NoAnswer in
      #   words for one that does not answer as it should.
      def get(address, params)
        uri, host = @allowed.check(address)
        uri = uri.dup
        uri.query = [uri.query, URI.encode_www_form(params)].compact.reject(&:empty?).join("&")
        @wait.call(PAUSE) if (@asked += 1) > 1
        trying(uri.host) { once(uri, host) }
      end

      private

      def trying(name)
        tries ||= @back_off.dup
        yield
      rescue Later => e
        seconds = tries.shift or raise NoAnswer, "#{name} #{e.message}"
        @wait.call(seconds)
        retry
      end

      def once(uri, host)
        ends = now + @seconds
        http = BoundedHttp.new(uri.hostname, uri.port, nil)
        http.ipaddr = host
        http.largest = @largest + HEAD_BYTES
        http.use_ssl = uri.is_a?(URI::HTTPS)
        http.open_timeout = http.read_timeout = http.write_timeout = @seconds
        http.max_retries = 0
        Timeout.timeout(@seconds * 2) { http.start { |open| read(open, uri, ends) } }
      rescue BoundedHttp::TooMuch
        too_much(uri)
      rescue Net::OpenTimeout, Net::ReadTimeout, Net::WriteTimeout, Timeout::Error
        raise Later, "did not answer within #{@seconds} seconds."
      rescue Errno::ECONNREFUSED
        raise Later, "does not answer: nothing listens at its address."
      rescue *TROUBLES => e
        raise NoAnswer, "#{uri.host} could not be asked (#{e.class.name.split("::").last})."
      end

      def read(http, uri, ends)
        request = Net::HTTP::Get.new(uri, "User-Agent" => AGENT,
                                          "Accept" => "application/xml, text/xml",
                                          "Accept-Encoding" => "identity")
        body = nil
        http.request(request) { |response| body = checked(response, uri, ends) }
        body
      end

      def checked(response, uri, ends)
        case response
        when Net::HTTPSuccess then within_bounds(response, uri, ends)
        when Net::HTTPRedirection
          raise NoAnswer,
                "#{uri.host} sends elsewhere, which is not followed. If it has moved, give its new address."
        else
          raise Later, "is busy (#{response.code})." if BUSY.include?(response.code)

          raise NoAnswer, "#{uri.host} answered with an error (#{response.code})."
        end
      end

      # Piece by piece, so that an answer without end is left as soon as it is too much.
      def within_bounds(response, uri, ends)
        body = +"".b
        response.read_body do |piece|
          body << piece
          too_much(uri) if body.bytesize > @largest
          raise Later, "did not end its answer within #{@seconds} seconds." if now > ends
        end
        body
      end

      def too_much(uri)
        raise NoAnswer, "#{uri.host} answered with more than #{@largest / 1024 / 1024} MB."
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      # A catalogue that does not answer as it should; the words say how, and nothing was changed.
      class NoAnswer < UnavailableError
        # Gives what the block makes of an answer; what cannot be read is no answer. Raises NoAnswer,
        # and InputError (:address) for one that may not be asked.
        def self.understood
          yield
        rescue InputError => e
          raise if e.errors.key?(:address)

          raise NoAnswer, "It answered with something that is no answer. #{e.message}"
        end
      end

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
end
