# frozen_string_literal: true

module Hobrin
  # Who signs in, where they work, and what each may do with an inquiry. How they sign in is no part
  # of the core.
  module People
  end
end
