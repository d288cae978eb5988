# frozen_string_literal: true

module Hobrin
  module Strategy
    # The intersection of its parts (AND).
    class AllOf < Joining; end
  end
end
