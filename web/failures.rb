# frozen_string_literal: true

module Hobrin
  module Web
    # What a person sees when something cannot be done: one table from error to status, and one way
    # of saying it.
    module Failures
      STATUS = { InputError => 422, GoneError => 404, ConflictError => 409,
                 StateError => 409, UnavailableError => 503 }.freeze
      # A message of Ruby's own may print whole objects, secrets among them: the log gets its
      # beginning.
      LONGEST_MESSAGE = 160
      private_constant :STATUS, :LONGEST_MESSAGE

      # The status that an error of Hobrin's is answered with.
      def self.status(error) = STATUS.find { |kind, _| error.is_a?(kind) }.last

      def self.log(error)
        warn "#{error.class}: #{error.message[0, LONGEST_MESSAGE]}", *error.backtrace.first(12)
      end

      def self.registered(app)
        app.error(Hobrin::Error) do
          status Failures.status(env["sinatra.error"])
          fail_with Book.t("common.errors.not_done"), env["sinatra.error"].message
        end

        app.not_found { fail_with Book.t("common.errors.not_found"), Book.t("common.errors.no_page") }

        app.error do
          Failures.log(env["sinatra.error"])
          fail_with Book.t("common.errors.fault"),
                    Book.t("common.errors.fault_hint")
        end
      end
    end
  end
end
