# frozen_string_literal: true

module Hobrin
  module Web
    module SigningIn
      # What comes in where people sign in: an address of signing in is answered by rodauth; all
      # others go on, with who they are from.
      class Requests < Roda
        route do |r|
          unreadable(r)
          rodauth.load_memory
          # Ended from another place, or too long at rest: not one page of signing in opens then.
          rodauth.check_active_session
          forgotten(r) if r.path_info == "/forgotten"
          be(r) if r.path_info.start_with?("/be/")
          r.rodauth
          elsewhere(r) if r.path_info == "/account/sessions" && r.post?
          r.halt(onward(r))
        end

        # What no page could read is refused before anything looks at it.
        def unreadable(request)
          return if Security.readable?(request.params) && Security.readable?(Security.address(request.path_info))

          response.status = 400
          response["content-type"] = "text/plain"
          response.write(Security::BAD_TEXT)
          request.halt(response.finish)
        end

        # Shows a page of ours within the frame of the application. rodauth :: what knows what is
        #   wrong
        def page(name, rodauth)
          page = People::Pages::SignIn.new(name:, rodauth:, errors: rodauth.trouble, notice: flash[:notice],
                                           warning: flash.now[:error] || flash[:error],
                                           mail: opts[:hobrin][:post].ready?, people: made_up)
          env = request.env.merge("REQUEST_METHOD" => "GET", "PATH_INFO" => "/sign-in/page",
                                  PAGE => page, PERSON => person_id)
          _, headers, body = opts[:hobrin][:pages].call(env)
          headers.each do |header, value|
            response[header] = value unless header == "content-length"
          end
          body.each.to_a.join
        end

        # Asks for an address at which a new password can be chosen. What is answered, and how long
        # it takes, is the same whether there is such a person or not.
        def forgotten(request)
          return request.halt(shown("forgotten")) unless request.post?

          rodauth.send_new_password(request.params["login"].to_s)
          flash[:notice] = Book.t("common.sign_in.reset_sent")
          request.redirect "/sign-in"
        end

        # One press to be one of the made-up people, in the demo alone.
        def be(request)
          return unless opts[:hobrin][:demo] && request.post?

          rodauth.be(request.path_info.delete_prefix("/be/").to_i)
        end

        # Signs out at one other place, or everywhere but here.
        def elsewhere(request)
          return unless rodauth.authenticated?

          session = request.params["session"]
          rodauth.sign_out_elsewhere(session)
          flash[:notice] = Book.t("common.sign_in.word.#{session ? "session_ended" : "signed_out_elsewhere"}")
          request.redirect "/account"
        end

        private

        # Of who is signed in, with their second step where they have one; nil for nobody.
        def person_id = (rodauth.session_value if rodauth.authenticated?)

        def made_up = opts[:hobrin][:demo] ? Services::Accounts::Read.new(opts[:hobrin][:context]).people : []

        def shown(name)
          response.write(page(name, rodauth))
          response.finish
        end

        def onward(request)
          env = request.env
          env[PERSON] = person_id
          env[SESSION] = (rodauth.session_here if env[PERSON])
          env["hobrin.half_in"] = rodauth.logged_in? && !rodauth.authenticated?
          env["hobrin.notice"] = flash[:notice]
          env.fetch("hobrin.next").call(env)
        end

        # Makes the part that answers the addresses of signing in.
        module Accounts
          FEATURES = %i[login logout remember active_sessions argon2 change_password reset_password otp
                        recovery_codes].freeze
          # Where each stands; those without an address are done in another way.
          ROUTES = { login_route: "sign-in", logout_route: "sign-out", reset_password_route: "new-password",
                     reset_password_request_route: nil, change_password_route: "account/password",
                     otp_auth_route: "second-step", otp_setup_route: "account/second-step",
                     otp_disable_route: "account/second-step/off", recovery_auth_route: "recovery-code",
                     recovery_codes_route: "account/recovery-codes", two_factor_manage_route: nil,
                     two_factor_auth_route: nil, two_factor_disable_route: nil,
                     remember_route: nil }.freeze
          HOURS_AT_REST = 12
          SETTINGS = { login_column: :login, login_param: "login", account_status_column: :status_id,
                       skip_status_checks?: false,
                       require_email_address_logins?: false, require_login_confirmation?: false,
                       set_deadline_values?: true, use_database_authentication_functions?: false,
                       remember_deadline_interval: { days: 14 }, extend_remember_deadline?: false,
                       session_inactivity_deadline: HOURS_AT_REST * 3_600, require_mail?: false,
                       require_bcrypt?: false, reset_password_autologin?: false, auto_add_recovery_codes?: true,
                       auto_remove_recovery_codes?: true, two_factor_modifications_require_password?: true }.freeze
          private_constant :FEATURES, :ROUTES, :HOURS_AT_REST, :SETTINGS

          # See Gate. Gives what answers a request.
          def self.build(context:, secret:, secure: false, **rest)
            Class.new(Requests) do
              opts[:hobrin] = { context:, secret:, **rest }.freeze
              plugin :rodauth, csrf: false, render: false do
                db context.directory.accounts.db
                hmac_secret secret
                enable(*FEATURES)
                auth_class_eval { prepend Words, Behaviour, Elsewhere }
                ROUTES.merge(SETTINGS).each { |name, value| public_send(name, value) }
                remember_cookie_options({ same_site: :lax, **(secure ? { secure: true } : {}) })
              end
            end.app
          end
        end
      end
    end
  end
end
