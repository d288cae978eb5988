# frozen_string_literal: true

module Hobrin
  module Strategy
    # The intersection of its parts (AND).
    class AllOf < BooleanExpression; end
  end
end
