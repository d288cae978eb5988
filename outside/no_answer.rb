# frozen_string_literal: true

module Hobrin
  module Outside
    # A catalogue that does not answer as it should; the words say how, and nothing was changed.
    class NoAnswer < UnavailableError; end
  end
end
