# frozen_string_literal: true

module Hobrin
  module Web
    module SigningIn
      # Where else somebody is signed in, and how that is ended.
      module Elsewhere
        # session :: the name of one, or nil for all others. Who wanted to stay signed in elsewhere has
        # to sign in again.
        def sign_out_elsewhere(session = nil)
          account_from_session
          return end_elsewhere("signed out elsewhere") unless session

          context.directory.accounts.end_session(account_id, session.to_s)
          forget_elsewhere
          note_down("one session ended")
        end

        # The name of the session of this request.
        def session_here
          key = session[session_id_session_key].to_s
          context.directory.accounts.session_name(compute_hmac(key))
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
