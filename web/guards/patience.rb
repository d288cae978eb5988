# frozen_string_literal: true

require "timeout"

module Hobrin
  module Web
    module Guards
      # No request holds a thread for ever: past this many seconds it ends in words. What a change
      # had begun to write is taken back by the database.
      class Patience
        # More than any page takes, and than a change waits for another program's.
        SECONDS = 15
        WORDS = "This took longer than %d seconds and was stopped. Nothing was changed. Make the search smaller, or " \
                "try again when fewer people work."
        private_constant :WORDS

        # The request was stopped, wherever it was.
        class Over < StandardError; end

        def initialize(app, seconds: SECONDS)
          @app = app
          @seconds = seconds
        end

        def call(env)
          Timeout.timeout(@seconds, Over) { @app.call(env) }
        rescue Over
          [503, { "content-type" => "text/plain" }, [format(WORDS, @seconds)]]
        end
      end
    end
  end
end
