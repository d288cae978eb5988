# frozen_string_literal: true

module Hobrin
  # Every change of an inquiry, in order: what was done, the count before and after, when and by
  # whom. Any line can be looked at, compared with another, restored and run again.
  module Trail
  end
end
