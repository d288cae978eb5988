# frozen_string_literal: true

module Hobrin
  # Open formats in and out. No stage knows of them.
  module Exchange
  end
end
