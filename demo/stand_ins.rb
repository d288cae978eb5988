# frozen_string_literal: true

require "rbconfig"
require "socket"

module Hobrin
  module Demo
    # The stand-ins beside the demo: processes of their own on this machine, on the list of
    # catalogues while they run.
    class StandIns
      PROGRAM = File.expand_path("../config/stand_in.rb", __dir__)
      HOST = "127.0.0.1"
      private_constant :PROGRAM, :HOST

      # home :: Pathname of the demo
      def initialize(home)
        @home = home
        @pids = []
        @ports = StandIn::KINDS.keys.to_h { |kind| [kind, free_port] }
      end

      # What HOBRIN_SOURCES has to name.
      def allowed = @ports.values.map { |port| "#{HOST}:#{port}" }

      # Starts them. Should this process be killed, they end by themselves.
      def start
        @pids = @ports.map do |kind, port|
          env = { "HOBRIN_HOME" => @home.join("stand-ins", kind).to_s,
                  "HOBRIN_PARENT" => Process.pid.to_s }
          Process.spawn(env, RbConfig.ruby, PROGRAM, kind, port.to_s, in: File::NULL, out: File::NULL,
                                                                      err: File::NULL)
        end
      end

      # Ends them now: the server waits for every child before it ends itself.
      def stop
        @pids.each do |pid|
          Process.kill(:TERM, pid)
        rescue Errno::ESRCH
          nil
        end
      end

      # Puts them on the list. context :: Services::Context of the demo
      def list(context)
        StandIn::KINDS.each do |kind, one|
          ability = one.ability
          context.library.sources.write(
            name: one.name, address: "http://#{HOST}:#{@ports.fetch(kind)}/sru", protocol: "sru",
            version: ability.version, format: ability.schema, about: ability.about, ability:,
            stand_in: true, added_at: context.now
          )
        end
      end

      private

      def free_port = TCPServer.open(HOST, 0) { |server| server.addr[1] }
    end
  end
end
