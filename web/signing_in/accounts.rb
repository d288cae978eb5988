# frozen_string_literal: true

module Hobrin
  module Web
    module SigningIn
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
