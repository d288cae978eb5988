# frozen_string_literal: true

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
    end
  end
end
