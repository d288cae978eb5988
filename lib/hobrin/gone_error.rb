# frozen_string_literal: true

module Hobrin
  # The thing named is not there: never was, or was deleted meanwhile.
  class GoneError < StateError
    # what :: as the book names it under errors.gone, such as "inquiry"
    def initialize(what) = super(Book.t("errors.gone", thing: Book.t("errors.thing.#{what.tr(" ", "_")}")))
  end
end
