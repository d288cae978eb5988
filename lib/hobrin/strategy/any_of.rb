# frozen_string_literal: true

module Hobrin
  module Strategy
    # The union of its parts (OR).
    class AnyOf < Joining; end
  end
end
