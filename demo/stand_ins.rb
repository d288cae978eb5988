# frozen_string_literal: true

require "rbconfig"
require "socket"

module Hobrin
  module Demo
    # The stand-ins beside the demo: processes of their own on this machine, on the list of catalogues
    # while they run.
    class StandIns
      PROGRAM = File.expand_path("../config/stand_in.rb", __dir__)
      HOST = "127.0.0.1"
      private_constant :PROGRAM, :HOST

      # home :: Pathname of the demo
      def initialize(home)
        @home = home
        @ports = StandIn::KINDS.keys.to_h { |kind| [kind, free_port] }
      end

      # What HOBRIN_SOURCES has to name.
      def allowed = @ports.values.map { |port| "#{HOST}:#{port}" }

      # Starts them; they end with this process.
      def start
        mine = Process.pid
        @ports.each do |kind, port|
          env = { "HOBRIN_HOME" => @home.join("stand-ins", kind).to_s,
                  "HOBRIN_PARENT" => Process.pid.to_s }
          pid = Process.spawn(env, RbConfig.ruby, PROGRAM, kind, port.to_s, in: File::NULL,
                                                                            out: File::NULL,
                                                                            err: File::NULL)
          Process.detach(pid)
          # What forks from this process later must not end them.
          at_exit { stop(pid) if Process.pid == mine }
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

      def stop(pid)
        Process.kill(:TERM, pid)
      rescue Errno::ESRCH
        nil
      end
    end
  end
end
