# frozen_string_literal: true

require "openssl"
require "roda"
require "rodauth"
require "securerandom"

module Hobrin
  module Web
    # How people sign in: rodauth does it, on pages of ours.
    module SigningIn
      # Where a request says that people sign in here, with a Hash of what that means:
      # open_catalogue.
      SHARED = "hobrin.shared"
      # The id of who signed in.
      PERSON = "hobrin.person_id"
      # The name of their session, see Store::Accounts::Session.
      SESSION = "hobrin.session"
      # The page that is to be shown, with what it needs; a request cannot set it.
      PAGE = "hobrin.sign_in_page"

      # Stands before the application where people sign in: answers the addresses of signing in, and
      # says of every other request who it is from.
      class Gate
        # context :: Services::Context; post :: Outside::Post; origin :: such as
        #   "https://hobrin.example", "" for what a request says; demo :: whether the made-up people may
        #   be chosen; required :: whether nobody may do anything unless they signed in;
        #   open_catalogue :: whether other machines may search and harvest
        def initialize(app, context:, post:, secret:, origin: "", demo: false, required: true, open_catalogue: false)
          @app = app
          @shared = { open_catalogue:, demo:, required:, post: }.freeze
          @accounts = Requests::Accounts.build(context:, post:, secret:, origin:, pages: app, demo:,
                                               secure: origin.start_with?("https:"))
        end

        def call(env)
          env[SHARED] = @shared
          env["hobrin.next"] = @app
          @accounts.call(env)
        end
      end

      # Tells a browser in which somebody signed in before, by a cookie that lets nobody in: its tries
      # are counted by themselves, so that strangers cannot keep anybody out.
      class Browsers
        COOKIE = "hobrin_known"
        DAYS = 180
        # A browser on a ward is used by many.
        MOST = 8
        FORM = /\A(\h{32})((?:\.\h{32})+)\z/
        private_constant :COOKIE, :DAYS, :MOST, :FORM

        # The name of this browser, or nil.
        attr_reader :id

        def initialize(request, response, secret:)
          @request = request
          @response = response
          @secret = secret
          match = FORM.match(request.cookies[COOKIE].to_s)
          @id = match && match[1]
          @marks = match ? match[2].split(".").drop(1).first(MOST) : []
        end

        # Whether somebody signed in here with this before.
        def known?(login)
          return false unless id

          mark = mark(login)
          @marks.any? { |known| Rack::Utils.secure_compare(known, mark) }
        end

        # Keeps in mind that somebody signed in here.
        def know(login)
          return if known?(login)

          @id ||= SecureRandom.hex(16)
          @marks = [mark(login), *@marks].first(MOST)
          Rack::Utils.set_cookie_header!(@response.headers, COOKIE, {
            value: [id, *@marks].join("."), path: "/", httponly: true, same_site: :lax,
            secure: @request.ssl?, max_age: DAYS * 86_400
          })
        end

        private

        def mark(login) = OpenSSL::HMAC.hexdigest("SHA256", @secret, "known #{id} #{login.to_s.strip.downcase}")[0, 32]
      end

      # Where else somebody is signed in, and how that is ended.
      module Elsewhere
        # session :: the name of one, or nil for all others. Who wanted to stay signed in elsewhere has
        # to sign in again.
        def sign_out_elsewhere(session = nil)
          account_from_session
          return end_elsewhere("signed out elsewhere") unless session

          sessions.end_one(account_id, session.to_s)
          forget_elsewhere
          note_down("one session ended")
        end

        # The name of the session of this request.
        def session_here
          key = session[session_id_session_key].to_s
          sessions.name(compute_hmac(key))
        end

        private

        def end_elsewhere(what)
          remove_all_active_sessions_except_current
          forget_elsewhere
          note_down(what)
        end

        # A cookie by which somebody stays signed in is good for no other place any more.
        def forget_elsewhere
          here = remembered_session_id
          disable_remember_login
          remember_login if here
        end
      end
    end
  end
end
