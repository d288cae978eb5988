# frozen_string_literal: true

module Hobrin
  # What was asked for is reasonable but the stored state does not allow it.
  class StateError < Error; end
end
