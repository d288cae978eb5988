# frozen_string_literal: true

module Hobrin
  module Web
    module SigningIn
      # Makes the part that answers the addresses of signing in.
      module Accounts
        FEATURES = %i[login logout remember active_sessions argon2 change_password reset_password otp
                      recovery_codes].freeze
        ROUTES = { login_route: "sign-in", logout_route: "sign-out", reset_password_route: "new-password",
                   reset_password_request_route: nil, change_password_route: "account/password",
                   otp_auth_route: "second-step", otp_setup_route: "account/second-step",
                   otp_disable_route: "account/second-step/off", recovery_auth_route: "recovery-code",
                   recovery_codes_route: "account/recovery-codes", two_factor_manage_route: nil,
                   two_factor_auth_route: "second-steps", two_factor_disable_route: nil,
                   remember_route: nil }.freeze
        DAYS_REMEMBERED = 14
        private_constant :FEATURES, :ROUTES, :DAYS_REMEMBERED

        # See Gate. Gives what answers a request.
        def self.build(context:, secret:, **rest)
          Class.new(Requests) do
            opts[:hobrin] = { context:, **rest }.freeze
            plugin :rodauth, csrf: false, render: false do
              db context.directory.accounts.db
              enable(*FEATURES)
              auth_class_eval { prepend Behaviour }
              hmac_secret secret
              ROUTES.each { |name, route| public_send(name, route) }
              login_column :login
              login_param "login"
              account_status_column :status_id
              require_email_address_logins? false
              require_login_confirmation? false
              set_deadline_values? true
              use_database_authentication_functions? false
              remember_deadline_interval days: DAYS_REMEMBERED
              extend_remember_deadline? false
              session_inactivity_deadline 12 * 3_600
              require_mail? false
              require_bcrypt? false
              reset_password_autologin? false
              auto_add_recovery_codes? true
              auto_remove_recovery_codes? true
              two_factor_modifications_require_password? true
            end
          end.app
        end
      end
    end
  end
end
