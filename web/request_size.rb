# frozen_string_literal: true

module Hobrin
  module Web
    # Turns away what is larger than any form of Hobrin can be, before it is read.
    class RequestSize
      LARGEST_BYTES = 262_144
      private_constant :LARGEST_BYTES

      def initialize(app)
        @app = app
      end

      def call(env)
        return @app.call(env) if env["CONTENT_LENGTH"].to_i <= LARGEST_BYTES

        [413, { "content-type" => "text/plain" },
         ["This is far longer than a question can be. Go back: what you wrote is still in the page. Shorten it."]]
      end
    end
  end
end
