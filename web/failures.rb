# frozen_string_literal: true

module Hobrin
  module Web
    # What a person sees when something cannot be done: one table from error to status.
    module Failures
      STATUS = { InputError => 422, GoneError => 404, ConflictError => 409, StateError => 409 }.freeze
      # A message of Ruby's own may print whole objects, secrets among them: the log gets its beginning.
      LONGEST_MESSAGE = 160
      private_constant :STATUS, :LONGEST_MESSAGE

      # The status that an error of Hobrin's is answered with.
      def self.status(error) = STATUS.find { |kind, _| error.is_a?(kind) }&.last || 500

      def self.registered(app)
        app.error(Hobrin::Error) do
          error = env["sinatra.error"]
          status Failures.status(error)
          show_alone :failure, title: "That did not work", message: error.message
        end

        app.not_found { show_alone :failure, title: "Not here", message: "There is no page at this address." }

        app.error do
          error = env["sinatra.error"]
          warn "#{error.class}: #{error.message[0, LONGEST_MESSAGE]}", *error.backtrace.first(12)
          show_alone :failure, title: "Something broke",
                               message: "This is a fault of Hobrin's, not yours. What was saved is safe."
        end
      end
    end
  end
end
