# frozen_string_literal: true

require "etc"
require "socket"
require_relative "server"

module Hobrin
  # Serves the application, with the sample data or with what the home holds; what `bin/demo` and
  # `bin/hobrin serve` run once everything is installed.
  class DemoServer
    HERE = ["127.0.0.1", "::1", "localhost"].freeze
    PORTS = (1..65_535)
    LARGEST_REQUEST = Web::Guards::RequestBounds::LARGEST_FILE
    private_constant :HERE, :PORTS, :LARGEST_REQUEST

    NOBODY = "Nobody can sign in yet. Add who looks after it first: hobrin person add NAME LOGIN --runs"
    private_constant :NOBODY

    # sample :: whether an empty home gets the sample data; shared :: whether people must sign in, which
    #   they must in any case where other machines can reach it (BIND)
    def initialize(env: ENV, out: $stdout, sample: true, shared: false)
      @env = env
      @out = out
      @sample = sample
      @host = env.fetch("BIND", HERE.first)
      @shared = shared || !HERE.include?(@host)
    end

    # Serves until stopped. Raises StateError, in one line, when it cannot start.
    def call
      port = free_port
      home = Boot.home(@env)
      @stand_ins = Demo::StandIns.new(home) if @sample
      context = Boot.context(home:, allowed:)
      fill(context) if @sample
      somebody!(context) if @shared
      serve(Server.app(context, home:, env: @env, shared: shared(home)), port)
    end

    private

    # What may be asked: what who runs this wrote, and the stand-ins.
    def allowed = [@env["HOBRIN_SOURCES"], *@stand_ins&.allowed].compact.join(",")

    # Where people sign in, and in the demo, where one may be one of those who are made up.
    def shared(home)
      return { required: true } if @shared

      { required: false, demo: true, post: Outside::Post.new(folder: home.join("outbox")) } if @sample
    end

    def somebody!(context)
      raise StateError, NOBODY if context.directory.accounts.empty?
    end

    def fill(context)
      sample = Demo::Sample.new(context)
      @out.puts sample.announcement if sample.announcement
      sample.load
      @stand_ins.start
      @stand_ins.list(context)
    end

    def free_port
      port = Integer(@env.fetch("PORT", "4646"), 10, exception: false)
      raise StateError, "PORT must be a number from 1 to 65535." unless PORTS.cover?(port)

      TCPServer.new(@host, port).close
      port
    rescue Errno::EADDRINUSE
      raise StateError,
            "Port #{port} is in use. Stop what runs there, or choose another: PORT=4747 bin/demo"
    rescue Errno::EADDRNOTAVAIL, SocketError
      raise StateError, "This machine has no address #{@host} (BIND)."
    rescue Errno::EACCES
      raise StateError, "Port #{port} is not allowed here. Choose a higher one: PORT=4747 bin/demo"
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
        events.after_stopped { @stand_ins&.stop }
        events.after_booted { @out.puts "Hobrin is at http://#{@host}:#{port}#{" (made-up sample data)" if @sample}. Ctrl-C stops it." }
      end
    end
  end
end

begin
  $stdout.sync = true
  Hobrin::DemoServer.new.call if $PROGRAM_NAME == __FILE__
rescue Hobrin::Error => e
  warn "hobrin: #{e.message}"
  exit 2
rescue Interrupt
  exit 0
end
