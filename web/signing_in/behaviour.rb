# frozen_string_literal: true

require "argon2"

module Hobrin
  module Web
    module SigningIn
      # What is Hobrin's own of signing in, before what rodauth does: pages, how many tries there
      # are, letters, and what is written down.
      module Behaviour
        # What is written down when something was done.
        TOLD = { logout: "signed out", otp_setup: "second step put on",
                 otp_disable: "second step taken off" }.freeze
        private_constant :TOLD

        def view(page, _title) = scope.page(page, self)

        # Hash of field to what is wrong with it.
        def trouble = (@field_errors || {}).transform_keys(&:to_sym)

        # Nobody of that name takes as long as somebody of another password.
        def account_from_login(login)
          super(login.to_s.strip.downcase) || spend
        end

        # Sends a letter with the address at which a new password is chosen, if there is somebody.
        def send_new_password(login)
          return unless tries.letter?(login)

          # Somebody takes as long as nobody.
          there = account_from_login(login) && (spend || open_account?)
          letter if there && hobrin[:post].ready? && prepare_letter
          note_down("new password asked for", login[0, 120])
        end

        # See Requests#be.
        def be(id) = account_from_id(id) && login("demo")

        # Before any of these pages looks at a password or a code.
        def before_rodauth
          super
          return unless request.post? && request.path_info != logout_path && too_many?

          set_error_flash Book.t("common.sign_in.too_often")
          return redirect_with(Book.t("common.sign_in.too_often")) if logged_in?

          set_response_error_status(429)
          return_response login_view
        end

        # Wherever a password or a code is asked for, a wrong one counts.
        def password_match?(password)
          Services::SignIn::Passwords.in_turn { super }.tap { |right| failed("wrong password") unless right || @comparing }
        end

        def otp_valid_code?(code) = super.tap { |right| failed("wrong code") unless right }
        def recovery_code_match?(code) = super.tap { |right| failed("wrong backup code") unless right }

        def new_password_matches_current_password?(password)
          @comparing = true
          super
        ensure
          @comparing = false
        end

        def throw_error_reason(reason, status, field, message)
          failed("wrong password") if reason == :no_matching_login && request.path_info == login_path
          super
        end

        def after_login
          super
          tries.forget(login_tried, known: known?)
          browsers.know(account[:login])
          remember_login if param_or_nil("remember")
          note_down("signed in")
        end

        # Whoever signs out is not brought back by having stayed signed in.
        def before_logout
          super
          disable_remember_login if logged_in? && account_from_session
        end

        def after_logout
          super
          note_down(TOLD.fetch(:logout))
        end

        def after_otp_setup
          super
          note_down(TOLD.fetch(:otp_setup))
        end

        def after_otp_disable
          super
          note_down(TOLD.fetch(:otp_disable))
        end

        def after_change_password
          super
          end_elsewhere("password changed")
        end

        def after_reset_password
          super
          remove_all_active_sessions
          sessions.forget_tries(account[:login])
          note_down("password chosen anew")
        end

        def password_meets_requirements?(password)
          @password_trouble = Services::SignIn::Passwords.trouble(password, about: account.values_at(:name, :login))
          @password_trouble.nil?
        end

        def password_does_not_meet_requirements_message = @password_trouble.to_s
        def otp_issuer = "Hobrin"
        def already_logged_in = redirect("/")
        # The name that the request gave is one of those that Hobrin answers to.
        def domain = request.host

        private

        # What checking a password costs, for nothing.
        def spend
          Services::SignIn::Passwords.in_turn do
            argon2_password_hash_match?(Services::SignIn::Passwords.nobodys, param_or_nil("password").to_s)
          end
          nil
        end

        def hobrin = scope.class.opts[:hobrin]
        def context = hobrin[:context]
        def base_url = hobrin[:origin].empty? ? super : hobrin[:origin]

        # A letter is no place for a form.
        def login_failed_reset_password_request_form = nil

        def note_down(what, who = account && account[:name]) = sessions.note_down(who || "somebody", what)
        def sessions = Services::SignIn::Sessions.new(context)

        def too_many? = tries.too_many?(login_tried, known: known?)

        def failed(what)
          tries.add(login_tried, known: known?)
          note_down(what, login_tried[0, 120])
        end

        # What a request tries to sign in with, or who is signed in already.
        def login_tried
          @login_tried ||= begin
            here = account_from_session if logged_in? && request.path_info != login_path
            (here ? here[:login] : param_or_nil(login_param)).to_s.strip.downcase
          end
        end

        def known? = browsers.known?(login_tried)
        def browsers = @browsers ||= Browsers.new(request, response, secret: hobrin[:secret])
        def tries = @tries ||= Services::SignIn::Tries.new(context, sender: request.ip.to_s, browser: browsers.id)

        def redirect_with(words)
          set_redirect_error_flash words
          redirect request.path_info
        end

        def prepare_letter
          return if reset_password_email_recently_sent?

          generate_reset_password_key_value
          transaction { create_reset_password_key }
          true
        end

        def letter
          text = Book.t("common.sign_in.reset_email", link: reset_password_email_link)
          hobrin[:post].send_later(account[:login], Book.t("common.sign_in.reset_subject"), text)
        end
      end
    end
  end
end
