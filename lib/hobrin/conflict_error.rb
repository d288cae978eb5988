# frozen_string_literal: true

module Hobrin
  # The inquiry was changed elsewhere since the page was shown.
  class ConflictError < StateError
    def initialize
      super("This inquiry was changed in another window since this page was shown. " \
            "Nothing was overwritten: look at it as it is now, then make your change again.")
    end
  end
end
