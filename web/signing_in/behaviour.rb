# frozen_string_literal: true

require "argon2"

module Hobrin
  module Web
    module SigningIn
      # What is Hobrin's own of signing in, before what rodauth does: pages, words, how many tries there
      # are, and what is written down.
      module Behaviour
        MOST_TRIES = 8
        MINUTES = 15
        LOCKED = "This was tried too often. Wait a quarter of an hour, or ask who runs this Hobrin.".freeze
        WRONG = "That name and that password do not go together.".freeze
        LETTER = "Somebody, likely you, asked to choose a new password. This address holds a day, and once:\n\n%s\n\n" \
                 "If it was not you, nothing has to be done.\n".freeze
        private_constant :MOST_TRIES, :MINUTES, :LOCKED, :WRONG, :LETTER

        def view(page, _title) = scope.page(page, self)

        # Hash of field to what is wrong with it.
        def trouble = (@field_errors || {}).transform_keys(&:to_sym)

        # Nobody of that name takes as long as somebody of another password.
        def account_from_login(login)
          super || spend
        end

        # Sends a letter with the address at which a new password is chosen, if there is somebody.
        def send_new_password(login)
          there = account_from_login(login) && open_account?
          letter if there && hobrin[:post].ready? && prepare_letter
          note_down("new password asked for", "", who: login[0, 120])
        end

        # See Requests#be.
        def be(id)
          return unless account_from_id(id)

          login("demo")
        end

        def sign_out_elsewhere
          account_from_session
          remove_all_active_sessions_except_current
          forget_login
          note_down("signed out elsewhere")
        end

        def before_login_route
          super
          return unless request.post? && too_many?

          set_response_error_status(429)
          set_error_flash LOCKED
          return_response login_view
        end

        def after_login_failure
          super
          failed
        end

        def throw_error_reason(reason, status, field, message)
          failed if reason == :no_matching_login && request.path_info == login_path
          super
        end

        def after_login
          super
          context.directory.tries.forget(account[:login])
          remember_login if param_or_nil("remember")
          note_down("signed in")
        end

        def before_logout
          super
          account_from_session if logged_in?
        end

        def after_logout
          super
          note_down("signed out")
        end

        def after_change_password
          super
          remove_all_active_sessions_except_current
          forget_login
          note_down("password changed")
        end

        def after_reset_password
          super
          remove_all_active_sessions
          note_down("password chosen anew")
        end

        def after_otp_setup
          super
          note_down("second step put on")
        end

        def after_otp_disable
          super
          note_down("second step taken off")
        end

        def password_meets_requirements?(password)
          @password_trouble = Services::Passwords.trouble(password, about: account.values_at(:name, :login))
          @password_trouble.nil?
        end

        def password_does_not_meet_requirements_message = @password_trouble.to_s

        # The same words, whichever of the two is wrong.
        def no_matching_login_message = WRONG
        def invalid_password_message = request.path_info == login_path ? WRONG : "That is not your password."
        def unverified_account_message = WRONG
        def no_matching_login_error_status = 401
        def unopen_account_error_status = 401
        def login_error_status = 401

        def already_logged_in = redirect("/")
        # The name that the request gave is one of those that Hobrin answers to.
        def domain = request.host

        def login_redirect = "/"
        def logout_redirect = "/sign-in"
        def require_login_redirect = "/sign-in"
        def change_password_redirect = "/account"
        def reset_password_redirect = "/sign-in"
        def otp_setup_redirect = recovery_codes_path
        def otp_disable_redirect = "/account"
        def two_factor_auth_redirect = "/"
        def two_factor_need_setup_redirect = "/account"
        def two_factor_already_authenticated_redirect = "/"
        def two_factor_auth_required_redirect = otp_auth_path
        def otp_lockout_redirect = recovery_auth_path
        def active_sessions_redirect = "/sign-in"

        def login_notice_flash = nil
        def login_error_flash = nil
        def otp_auth_error_flash = nil
        def otp_setup_error_flash = nil
        def otp_disable_error_flash = nil
        def change_password_error_flash = nil
        def reset_password_error_flash = nil
        def invalid_recovery_code_error_flash = nil
        def two_factor_auth_notice_flash = nil
        def two_factor_need_authentication_error_flash = nil
        def logout_notice_flash = "You are signed out."
        def change_password_notice_flash = "Your password is changed. Elsewhere you are signed out."
        def reset_password_notice_flash = "Your new password holds. Sign in with it."
        def otp_setup_notice_flash = "The second step is on. Keep the codes below where the telephone is not."
        def otp_disable_notice_flash = "The second step is off."
        def active_sessions_error_flash = "You were signed out here. Sign in again."
        def no_matching_reset_password_key_error_flash = "This address for a new password holds no more. Ask for another."
        def otp_lockout_error_flash = "That was too many wrong codes. Use one of your spare codes."
        def otp_invalid_auth_code_message = "That is not the code of this moment."
        def otp_invalid_secret_message = "This secret does not hold any more. Begin again."
        def invalid_recovery_code_message = "That is none of your spare codes."
        def passwords_do_not_match_message = "The two are not the same."
        def same_as_existing_password_message = "That is the one you have."
        def otp_issuer = "Hobrin"

        private

        def hobrin = scope.class.opts[:hobrin]
        def context = hobrin[:context]

        def note_down(what, about = "", who: account && account[:name])
          context.directory.audit.add(at: context.now, who: who || "somebody", what:, about:)
        end

        def too_many?
          context.directory.tries.count(param(login_param), since: context.minutes_ago(MINUTES)) >= MOST_TRIES
        end

        def failed
          context.directory.tries.add(param(login_param), at: context.now, since: context.minutes_ago(MINUTES))
          note_down("wrong password", "", who: param(login_param)[0, 120])
        end

        # What checking a password costs, for nothing.
        def spend
          argon2_password_hash_match?(Behaviour.nobody, param_or_nil("password").to_s)
          nil
        end

        # The hash of a password that nobody has, made once.
        def self.nobody = @nobody ||= Argon2::Password.create(SecureRandom.hex(32))

        def prepare_letter
          return if reset_password_email_recently_sent?

          generate_reset_password_key_value
          transaction { create_reset_password_key }
          true
        end

        # Sent beside the answer, which does not wait for it.
        def letter
          to, text = account[:login], format(LETTER, reset_password_email_link)
          Thread.new { hobrin[:post].send_to(to, "A new password for Hobrin", text) }
        end

        def login_failed_reset_password_request_form = nil

        def base_url = hobrin[:origin].empty? ? super : hobrin[:origin]
      end
    end
  end
end
