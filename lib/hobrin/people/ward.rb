# frozen_string_literal: true

module Hobrin
  module People
    # Where people work together. id :: Integer; name :: as it is called
    class Ward < Value
      attributes :id, :name

      LONGEST_NAME = 80
    end
  end
end
