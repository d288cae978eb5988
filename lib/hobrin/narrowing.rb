# frozen_string_literal: true

module Hobrin
  # From the join of the blocks to a number of papers that a person can read: limits in the person's
  # order, what each takes away, and how that stands against the aim.
  module Narrowing
  end
end
