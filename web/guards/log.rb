# frozen_string_literal: true

require "securerandom"

module Hobrin
  module Web
    module Guards
      # One line of JSON for each request, with a number by which it can be found again. The address is
      # written as its rule has it: no question, no search and no secret part of it ever stands there.
      class Log
        ELSE = "(no rule)"
        private_constant :ELSE

        # out :: what lines are written to, nil for nowhere
        def initialize(app, out:)
          @app = app
          @out = out
        end

        def call(env)
          id = SecureRandom.hex(8)
          started = now
          status, headers, body = @app.call(env)
          write(env, id, status, started)
          [status, { **headers, "x-request-id" => id }, body]
        end

        private

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

        def write(env, id, status, started)
          return unless @out

          need, = Rules.of(env["REQUEST_METHOD"], env["PATH_INFO"].to_s)
          line = { at: Time.now.utc.iso8601(3), id:, method: env["REQUEST_METHOD"], address: address(env),
                   need:, status:, person: env[SigningIn::PERSON], ms: ((now - started) * 1000).round }
          @out.puts(JSON.generate(line))
        end

        def address(env)
          Rules.address(env["REQUEST_METHOD"], env["PATH_INFO"].to_s) || ELSE
        end
      end
    end
  end
end
