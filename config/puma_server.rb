# frozen_string_literal: true

require "etc"
require "socket"
require_relative "server"

module Hobrin
  # Serves what a home holds, by puma, until it is stopped: `bin/hobrin serve`.
  class PumaServer
    HERE = ["127.0.0.1", "::1", "localhost"].freeze
    PORTS = (1..65_535)
    LARGEST_REQUEST = Web::Guards::RequestBounds::LARGEST_FILE
    NOBODY = "Nobody can sign in yet. Add who looks after it first: hobrin person add NAME LOGIN --runs"
    private_constant :HERE, :PORTS, :LARGEST_REQUEST, :NOBODY

    # shared :: whether people must sign in, which they must in any case where other machines can
    #   reach it (BIND)
    def initialize(env: ENV, out: $stdout, shared: false)
      @env = env
      @out = out
      @host = env.fetch("BIND", HERE.first)
      @shared = shared || !HERE.include?(@host)
    end

    # Serves until stopped. Raises StateError, in one line, when it cannot start.
    def call
      port = free_port
      home = Boot.home(@env)
      context = Boot.context(home:, allowed: allowed(home))
      prepare(context)
      raise StateError, NOBODY if @shared && context.directory.accounts.empty?

      serve(Server.app(context, home:, env: @env, shared: sharing(home)), port)
    end

    private

    # Which catalogues may be asked: those that the administrator wrote.
    def allowed(_home) = @env.fetch("HOBRIN_SOURCES", "")

    # Hooks: before the first request, after the last one, and what is said beside the address.
    def prepare(_context) = nil
    def stopped = nil
    def note = ""

    # What Server.app takes as `shared`.
    def sharing(_home) = ({ required: true } if @shared)

    def free_port
      port = Integer(@env.fetch("PORT", "4646"), 10, exception: false)
      raise StateError, "PORT must be a number from 1 to 65535." unless PORTS.cover?(port)

      TCPServer.new(@host, port).close
      port
    rescue Errno::EADDRINUSE
      raise StateError,
            "Port #{port} is in use. Stop what runs there, or choose another: PORT=4747"
    rescue Errno::EADDRNOTAVAIL, SocketError
      raise StateError, "This machine has no address #{@host} (BIND)."
    rescue Errno::EACCES
      raise StateError, "Port #{port} is not allowed here. Choose a higher one: PORT=4747"
    end

    def serve(app, port)
      require "puma"
      require "puma/configuration"
      require "puma/launcher"
      settings = Puma::Configuration.new do |config|
        config.app app
        config.bind "tcp://#{@host.include?(":") ? "[#{@host}]" : @host}:#{port}"
        config.threads 1, Boot::THREADS
        # One worker a core; each opens the files for itself.
        config.workers Etc.nprocessors
        config.preload_app!
        config.silence_single_worker_warning
        config.before_fork { Boot.disconnect }
        # The largest file that may come in; what is too large for its address is refused there.
        config.http_content_length_limit LARGEST_REQUEST
        config.environment "production"
      end
      quiet = Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr)
      Puma::Launcher.new(settings, log_writer: quiet, events: announcing(port)).run
    end

    def announcing(port)
      Puma::Events.new.tap do |events|
        events.after_stopped { stopped }
        events.after_booted { @out.puts "Hobrin is at http://#{@host}:#{port}#{note}. Ctrl-C stops it." }
      end
    end
  end
end
