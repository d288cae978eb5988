# frozen_string_literal: true

module Hobrin
  module Web
    module SigningIn
      # What rodauth says, in Hobrin's words, and where it leads; nil where the page says it.
      module Words
        WRONG = "Wrong user name or password."
        NO_KEY = "This link has expired. Ask for a new one."
        private_constant :WRONG, :NO_KEY

        # The same words, whichever of the two is wrong.
        def no_matching_login_message = WRONG
        def unverified_account_message = WRONG

        def invalid_password_message
          request.path_info == login_path ? WRONG : "Wrong password."
        end

        def no_matching_login_error_status = 401
        def unopen_account_error_status = 401
        def login_error_status = 401

        def passwords_do_not_match_message = "The two passwords differ."
        def same_as_existing_password_message = "Choose a password different from your current one."
        def otp_invalid_auth_code_message = "Wrong or expired code."
        def otp_invalid_secret_message = "This key has expired. Start again."
        def invalid_recovery_code_message = "Not a valid backup code."

        def login_notice_flash = nil
        def login_error_flash = nil
        def otp_auth_error_flash = nil
        def otp_setup_error_flash = nil
        def otp_disable_error_flash = nil
        def change_password_error_flash = nil
        def reset_password_error_flash = nil
        def invalid_recovery_code_error_flash = nil
        def view_recovery_codes_error_flash = nil
        def two_factor_auth_notice_flash = nil
        def two_factor_need_authentication_error_flash = nil
        def logout_notice_flash = "You are signed out."
        def change_password_notice_flash = "Password changed. You have been signed out everywhere else."
        def reset_password_notice_flash = "Password changed. Sign in with the new one."

        def otp_setup_notice_flash
          "Two-step verification is on. Keep the backup codes below in a safe place, away from your phone."
        end

        def otp_disable_notice_flash = "Two-step verification is off."
        def active_sessions_error_flash = "You were signed out here. Sign in again."
        def no_matching_reset_password_key_error_flash = NO_KEY
        def otp_lockout_error_flash = "Too many wrong codes. Use one of your backup codes."

        def login_redirect = "/"
        def logout_redirect = "/sign-in"
        def require_login_redirect = "/sign-in"
        def active_sessions_redirect = "/sign-in"
        def reset_password_redirect = "/sign-in"
        def change_password_redirect = "/account"
        def otp_setup_redirect = recovery_codes_path
        def otp_disable_redirect = "/account"
        def otp_lockout_redirect = recovery_auth_path
        def two_factor_auth_redirect = "/"
        def two_factor_need_setup_redirect = "/account"
        def two_factor_already_authenticated_redirect = "/"
        def two_factor_auth_required_redirect = otp_auth_path
      end
    end
  end
end
