# frozen_string_literal: true

require "argon2"

module Hobrin
  module Web
    module SigningIn
      # What is Hobrin's own of signing in, before what rodauth does: pages, how many tries there
      # are, letters, and what is written down.
      module Behaviour
        MOST_TRIES = 8
        MINUTES = 15
        LOCKED = "This was tried too often. Wait a quarter of an hour, or ask who runs this Hobrin."
        LETTER = "Somebody, likely you, asked to choose a new password. This address holds a day, and " \
                 "once:\n\n%s\n\nIf it was not you, nothing has to be done.\n"
        # What is written down when something was done.
        TOLD = { logout: "signed out", otp_setup: "second step put on",
                 otp_disable: "second step taken off" }.freeze
        # The hash of a password that nobody has.
        NOBODY = Argon2::Password.create(SecureRandom.hex(32))
        private_constant :MOST_TRIES, :MINUTES, :LOCKED, :LETTER, :TOLD, :NOBODY

        def view(page, _title) = scope.page(page, self)

        # Hash of field to what is wrong with it.
        def trouble = (@field_errors || {}).transform_keys(&:to_sym)

        # Nobody of that name takes as long as somebody of another password.
        def account_from_login(login)
          super(login.to_s.strip.downcase) || spend
        end

        # Sends a letter with the address at which a new password is chosen, if there is somebody.
        def send_new_password(login)
          # Somebody takes as long as nobody.
          there = account_from_login(login) && (spend || open_account?)
          letter if there && hobrin[:post].ready? && prepare_letter
          note_down("new password asked for", login[0, 120])
        end

        # See Requests#be.
        def be(id) = account_from_id(id) && login("demo")

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
          note_down("password chosen anew")
        end

        def password_meets_requirements?(password)
          @password_trouble = Services::Passwords.trouble(password, about: account.values_at(:name, :login))
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
          argon2_password_hash_match?(NOBODY, param_or_nil("password").to_s)
          nil
        end

        def hobrin = scope.class.opts[:hobrin]
        def context = hobrin[:context]
        def base_url = hobrin[:origin].empty? ? super : hobrin[:origin]

        # A letter is no place for a form.
        def login_failed_reset_password_request_form = nil

        def note_down(what, who = account && account[:name])
          context.directory.audit.add(at: context.now, who: who || "somebody", what:)
        end

        def too_many?
          context.directory.tries.count(param(login_param), since: context.minutes_ago(MINUTES)) >= MOST_TRIES
        end

        def failed
          login = param(login_param)
          context.directory.tries.add(login, at: context.now, since: context.minutes_ago(MINUTES))
          note_down("wrong password", login[0, 120])
        end

        def prepare_letter
          return if reset_password_email_recently_sent?

          generate_reset_password_key_value
          transaction { create_reset_password_key }
          true
        end

        def letter
          text = format(LETTER, reset_password_email_link)
          hobrin[:post].send_later(account[:login], "A new password for Hobrin", text)
        end
      end
    end
  end
end
