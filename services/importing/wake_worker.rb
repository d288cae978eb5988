# frozen_string_literal: true

module Hobrin
  module Services
    # Starts the process that reads waiting files into the library. There is one at a time: another
    # finds the lock taken and ends.
    class WakeWorker
      COMMAND = [RbConfig.ruby, File.expand_path("../../config/cli.rb", __dir__), "work"].freeze
      private_constant :COMMAND

      def initialize(context)
        @context = context
      end

      # Does nothing while nothing waits.
      def call
        library = @context.library
        return unless library.imports.next_waiting || library.matches.next_waiting
        return unless @context.incoming.wake?

        env = { "HOBRIN_HOME" => @context.incoming.home.to_s,
                "HOBRIN_SOURCES" => @context.allowed.to_a.join(",") }
        Process.detach(Process.spawn(env, *COMMAND, in: File::NULL, out: File::NULL,
                                                    err: File::NULL, pgroup: true))
      end
    end
  end
end
