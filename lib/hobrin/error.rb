# frozen_string_literal: true

module Hobrin
  # The root of what Hobrin itself raises. Programming slips stay ArgumentError.
  class Error < StandardError; end
end
