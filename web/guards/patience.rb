# frozen_string_literal: true

module Hobrin
  module Web
    module Guards
      # No request holds a thread for ever: past this many seconds it ends in words, at the next place
      # where its work asks how late it is (see Deadline). What a change had begun to write is taken
      # back by the database.
      class Patience
        # More than any page takes, and than a change waits for another program's.
        SECONDS = 15
        CLOCK = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
        private_constant :CLOCK

        def initialize(app, seconds: SECONDS)
          @app = app
          @seconds = seconds
        end

        def call(env)
          Deadline.within(@seconds, CLOCK) { @app.call(env) }
        rescue Deadline::Passed
          [503, { "content-type" => "text/plain" }, [Book.t("common.errors.too_long_to_answer", count: @seconds)]]
        end
      end
    end
  end
end
