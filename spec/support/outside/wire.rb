# frozen_string_literal: true

require "puma"
require "puma/server"
require "socket"

# Servers of a test on this machine, each on a port of its own.
module Wire
  # Serves a Rack application while the block runs, which is given its port.
  def self.serve(app)
    server = Puma::Server.new(app, nil,
                              { min_threads: 0, max_threads: 4, log_writer: Puma::LogWriter.null })
    port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
    server.run
    yield port
  ensure
    server&.stop(true)
  end

  # Answers each connection by a block, which is given the socket once the request was read.
  def self.raw(answer)
    listening = TCPServer.new("127.0.0.1", 0)
    thread = Thread.new do
      loop do
        Thread.new(listening.accept) do |socket|
          nil until socket.gets.to_s.strip.empty?
          answer.call(socket)
        rescue IOError, SystemCallError
          nil
        ensure
          socket.close
        end
      end
    rescue IOError
      nil
    end
    yield listening.addr[1]
  ensure
    listening&.close
    thread&.join
  end
end
