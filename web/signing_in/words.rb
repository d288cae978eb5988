# frozen_string_literal: true

module Hobrin
  module Web
    module SigningIn
      # What rodauth says, in Hobrin's words, and where it leads; nil where the page says it.
      module Words
        # The same words, whichever of the two is wrong.
        def no_matching_login_message = Book.t("common.sign_in.word.wrong_login")
        def unverified_account_message = Book.t("common.sign_in.word.wrong_login")

        def invalid_password_message
          request.path_info == login_path ? Book.t("common.sign_in.word.wrong_login") : Book.t("common.sign_in.word.wrong_password")
        end

        def no_matching_login_error_status = 401
        def unopen_account_error_status = 401
        def login_error_status = 401

        def passwords_do_not_match_message = Book.t("common.sign_in.word.passwords_differ")
        def same_as_existing_password_message = Book.t("common.sign_in.word.same_password")
        def otp_invalid_auth_code_message = Book.t("common.sign_in.word.wrong_code")
        def otp_invalid_secret_message = Book.t("common.sign_in.word.key_expired")
        def invalid_recovery_code_message = Book.t("common.sign_in.word.wrong_backup_code")

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
        def logout_notice_flash = Book.t("common.sign_in.word.signed_out")
        def change_password_notice_flash = Book.t("common.sign_in.word.password_changed")
        def reset_password_notice_flash = Book.t("common.sign_in.word.password_chosen")

        def otp_setup_notice_flash
          Book.t("common.sign_in.word.two_step_on")
        end

        def otp_disable_notice_flash = Book.t("common.sign_in.word.two_step_off")
        def active_sessions_error_flash = Book.t("common.sign_in.word.ended_here")
        def no_matching_reset_password_key_error_flash = Book.t("common.sign_in.word.link_expired")
        def otp_lockout_error_flash = Book.t("common.sign_in.word.many_wrong_codes")

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
