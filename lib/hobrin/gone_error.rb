# frozen_string_literal: true

module Hobrin
  # The thing named is not there: never was, or was deleted meanwhile.
  class GoneError < StateError
    # what :: a noun in plain words, such as "inquiry"
    def initialize(what) = super("This #{what} is not here. It may have been deleted.")
  end
end
