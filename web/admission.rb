# frozen_string_literal: true

module Hobrin
  module Web
    # Lets a request in, or not, by its rule.
    module Admission
      SIGN_IN = "/sign-in"
      SECOND_STEP = "/second-step"
      INQUIRY = %i[reads second works owns].freeze
      BEFORE = Book.t("common.errors.before_signing_in")
      private_constant :BEFORE, :SIGN_IN, :SECOND_STEP, :INQUIRY

      def self.registered(app)
        app.helpers self
        app.before { admit if env.key?(SigningIn::SHARED) }
        app.error(RefusedError) do
          status 403
          context.audit.note("refused", "#{request.request_method} #{request.path_info}"[0, 300])
          fail_with Book.t("common.errors.no_permission"), env["sinatra.error"].message
        end
      end

      private

      def admit
        need, given = Rules.of(request.request_method, request.path_info)
        return if need == :open || (need == :catalogue && env[SigningIn::SHARED][:open_catalogue])
        return (ask_to_sign_in if env[SigningIn::SHARED][:required]) unless context.user.person

        permit = Services::Permit.new(context)
        case need
        when *INQUIRY then admit_to_inquiry(permit, need, id_of("inquiry", given["id"]))
        when :library then permit.library
        when :runs then permit.runs
        when :signed_in, :catalogue then nil
        else not_found
        end
      end

      # Where nobody has to sign in, it is no secret that an inquiry was made before somebody did.
      def admit_to_inquiry(permit, need, id)
        permit.inquiry(need, id)
      rescue GoneError
        raise if signing_in_required? || !Services::Sharing::TakeAlong.new(context).unowned?(id)

        raise RefusedError, BEFORE
      end

      # The same whatever was asked for: nothing tells whether it exists.
      def ask_to_sign_in
        if htmx?
          headers "HX-Redirect" => SIGN_IN
          halt 401, ""
        end
        halt 401, { "content-type" => "text/plain" }, Book.t("common.errors.sign_in_first") unless request.get? || request.post?
        redirect to(env["hobrin.half_in"] ? SECOND_STEP : SIGN_IN), 303
      end
    end
  end
end
