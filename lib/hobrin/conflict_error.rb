# frozen_string_literal: true

module Hobrin
  # The inquiry was changed elsewhere since the page was shown.
  class ConflictError < StateError
    def initialize
      super(Book.t("errors.conflict"))
    end
  end
end
