# frozen_string_literal: true

module Hobrin
  module Strategy
    # What is in one tree and not in the other (NOT).
    class Except < Expression
      attributes :kept, :excluded
    end
  end
end
