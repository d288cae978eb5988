# frozen_string_literal: true

module Hobrin
  # Somebody asks for more than they may. The message says who may.
  class RefusedError < Error
  end
end
